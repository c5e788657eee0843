import type { Days } from '../../api/client';
import { Pick } from '../../ui/Pick';
import { useSize } from '../../ui/useSize';
import type { Zoom } from './axis';
import type { BeginDesk } from './BeginMark';
import { DayRows } from './DayRows';
import { layOut } from './layout';
import { Weeks } from './Weeks';

const ZOOMS: Record<Zoom, string> = {
  hours: 'the hours of work',
  day: 'whole days',
  week: 'weeks',
};

interface Props {
  days: Days;
  zoom: Zoom;
  setZoom: (zoom: Zoom) => void;
  picked: string | null;
  pick: (step: string) => void;
  begin: BeginDesk;
}

/** Day by day, the hours across. */
export function Timeline({ days, zoom, setZoom, picked, pick, begin }: Props) {
  const { ref, width, height } = useSize<HTMLDivElement>();
  return (
    <section className="thing days" aria-label="Day by day">
      <div className="views">
        <span className="cutplace">
          shown:{' '}
          <Pick
            name="Shown"
            options={Object.keys(ZOOMS) as Zoom[]}
            text={(z) => ZOOMS[z]}
            value={zoom}
            choose={setZoom}
          />
        </span>
        <span className="legend small quiet">
          <i className="hands" /> your hands <i className="waits" /> the mould works{' '}
          <i className="chain" /> decides the finish{' '}
          {days.steps.some((s) => s.window) && (
            <>
              <i className="window" /> may begin{' '}
            </>
          )}
          {days.days.some((d) => d.taken.length > 0) && (
            <>
              {' '}
              <i className="taken" /> another job
            </>
          )}
        </span>
      </div>
      <div ref={ref} className={`rows${begin.stale ? ' stale' : ''}`}>
        {width > 0 &&
          (zoom === 'week' ? (
            <Weeks days={days} width={width} />
          ) : (
            <DayRows
              days={days}
              lay={layOut(days, zoom, width, height)}
              picked={picked}
              pick={pick}
              begin={begin}
            />
          ))}
      </div>
    </section>
  );
}
