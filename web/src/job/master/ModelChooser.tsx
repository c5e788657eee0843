import type { RefObject } from 'react';

interface Props {
  chooser: RefObject<HTMLInputElement | null>;
  take: (file: File) => void;
  /** Whether a job that was saved as a file will do as well. */
  jobs?: boolean;
}

/** The system's own way to choose a model file; opened by a click on what it is given. */
export function ModelChooser({ chooser, take, jobs = false }: Props) {
  return (
    <input
      ref={chooser}
      type="file"
      hidden
      accept={`.stl,.obj,.ply,.off,.3mf${jobs ? ',.zip' : ''}`}
      data-testid="model-file"
      onChange={(e) => {
        const [file] = e.target.files ?? [];
        if (file) {
          take(file);
        }
        e.target.value = '';
      }}
    />
  );
}
