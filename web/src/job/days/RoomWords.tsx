import { Link } from 'react-router-dom';
import { useWordDesk } from '../../ui/useWordDesk';
import { Word } from '../../ui/Word';
import { WordContext } from '../../ui/words';
import { useWorkshop } from '../../workshop/useWorkshop';

/** How warm it is and when there is work: the workshop's, changed where they count. */
export function RoomWords() {
  const { workshop, send } = useWorkshop();
  const desk = useWordDesk('workshop', workshop?.words, send);
  return (
    desk && (
      <WordContext.Provider value={desk}>
        The room is at <Word k="roomC" after="," /> forecast: <Word k="hours.forecast" after="." />{' '}
        <Word k="hours.people" /> at work, in the{' '}
        <Link to="/workshop#hours">hours of the workshop</Link>.
      </WordContext.Provider>
    )
  );
}
