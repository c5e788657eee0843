import { useEffect } from 'react';
import { useLocation, useNavigate } from 'react-router-dom';

/**
 * Opens the word an address ends in, "#mould.kind", once it stands on the page.
 *
 * @param ready whether the page's words are there
 */
export function useWordInAddress(ready: boolean) {
  const { hash, pathname, search } = useLocation();
  const go = useNavigate();
  useEffect(() => {
    const word = decodeURIComponent(hash.slice(1));
    if (!ready || word === '') {
      return;
    }
    const words = document.querySelectorAll<HTMLElement>('main [data-word]');
    const button = [...words].find((w) => w.dataset['word'] === word);
    if (button) {
      button.scrollIntoView({ block: 'center' });
      button.click();
    }
    void go({ pathname, search }, { replace: true });
  }, [ready, hash, pathname, search, go]);
}
