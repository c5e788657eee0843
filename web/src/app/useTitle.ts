import { useEffect } from 'react';

/** What the browser's tab says. */
export function useTitle(title: string | undefined) {
  useEffect(() => {
    document.title = title ? `${title} · Ungula` : 'Ungula';
  }, [title]);
}
