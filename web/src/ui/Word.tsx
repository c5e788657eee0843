import { useEffect, useId, useRef, type KeyboardEvent } from 'react';
import Dropdown from 'react-bootstrap/Dropdown';
import type { WordKey, WordState } from '../api/client';
import { useWordField } from './useWordField';
import { useWords } from './words';

interface Props {
  /** Path of the word. */
  k: WordKey;
  /** What a choice offers, when it is not the word's own list. */
  options?: { value: string; text: string; note?: string }[];
  /** Punctuation that must not part from the word. */
  after?: string;
  /** What stands there while it is not said, when it is not the word's own text. */
  unsaid?: string | undefined;
}

/** A word of a sentence that can be changed where it stands. */
export function Word({ k, options, after, unsaid }: Props) {
  const { words } = useWords();
  const state = words[k];
  if (!state) {
    return null;
  }
  const offered = options ?? (state.kind === 'choice' ? state.options : null);
  const word = offered ? (
    <ChoiceWord k={k} options={offered} />
  ) : (
    <TypedWord k={k} unsaid={unsaid} />
  );
  return after ? (
    <span className="together">
      {word}
      {after}
    </span>
  ) : (
    word
  );
}

/** Open, assumed or chosen: each looks its own. */
const look = (state: WordState | undefined) =>
  state?.unset ? ' unset' : state?.assumed ? ' assumed' : '';

function ChoiceWord({ k, options }: Required<Pick<Props, 'k' | 'options'>>) {
  const desk = useWords();
  const state = desk.words[k];
  const chosen = options.find((o) => o.value === (state?.value || state?.text));
  const text = chosen?.text ?? state?.text ?? '';
  return (
    <Dropdown as="span" className="wordhold" onSelect={(v) => void desk.write(k, v ?? '')}>
      <Dropdown.Toggle
        as="button"
        type="button"
        className={`word choice${look(state)}`}
        aria-label={`${state?.label ?? k}: ${text}${state?.assumed ? ', assumed' : ''}`}
        disabled={desk.readOnly}
        data-word={k}
      >
        {text}
      </Dropdown.Toggle>
      <Dropdown.Menu as="span">
        {options.map((o) => (
          <Dropdown.Item key={o.value} eventKey={o.value} as="button" active={o === chosen}>
            {o.text}
            {o.note && <span className="small"> · {o.note}</span>}
          </Dropdown.Item>
        ))}
      </Dropdown.Menu>
    </Dropdown>
  );
}

function TypedWord({ k, unsaid }: Pick<Props, 'k' | 'unsaid'>) {
  const desk = useWords();
  const state = desk.words[k];
  const shown = state && !state.unset ? state.text : '';
  const said = state?.unset ? (unsaid ?? state.text) : shown;
  const field = useWordField(k, shown, desk);
  const input = useRef<HTMLInputElement>(null);
  const button = useRef<HTMLButtonElement>(null);
  const back = useRef(false);
  const typedOpen = useRef(false);
  const problem = useId();
  const editing = field.typed !== null;

  useEffect(() => {
    if (editing) {
      input.current?.focus();
      if (typedOpen.current) {
        // what was typed replaces the word: go on behind it
        typedOpen.current = false;
      } else {
        input.current?.select();
      }
    } else if (back.current) {
      back.current = false;
      // whoever has gone on to another word meanwhile is not called back
      if (document.activeElement === document.body) {
        button.current?.focus();
      }
    }
  }, [editing]);

  const onButtonKey = (e: KeyboardEvent) => {
    const steps = { ArrowUp: 1, ArrowRight: 1, ArrowDown: -1, ArrowLeft: -1 }[e.key];
    if (steps && !desk.readOnly) {
      e.preventDefault();
      void desk.nudge(k, steps * (e.shiftKey ? 10 : 1));
    } else if (e.key.length === 1 && e.key !== ' ' && !e.ctrlKey && !e.metaKey && !e.altKey) {
      e.preventDefault();
      e.stopPropagation();
      typedOpen.current = true;
      field.open(e.key);
    }
  };
  const onInputKey = (e: KeyboardEvent) => {
    e.stopPropagation();
    if (e.key === 'Enter') {
      back.current = true;
      void field.commit(state?.assumed);
    } else if (e.key === 'Escape') {
      back.current = true;
      field.cancel();
    }
  };

  if (!state) {
    return null;
  }
  if (!editing) {
    return (
      <button
        ref={button}
        type="button"
        className={`word${look(state)}`}
        title={state.exact && state.exact !== state.text ? state.exact : undefined}
        aria-label={`${state.label}: ${said}${state.assumed ? ', assumed' : ''}`}
        // a word written before may close and move this one away before the button is let go
        onMouseDown={(e) => {
          if (e.button === 0) {
            e.preventDefault();
            field.open();
          }
        }}
        onClick={() => field.open()}
        onKeyDown={onButtonKey}
        disabled={desk.readOnly}
        data-word={k}
      >
        {said || '…'}
      </button>
    );
  }
  return (
    <span className="wordhold">
      <input
        ref={input}
        className="word"
        value={field.typed ?? ''}
        size={Math.max(4, (field.typed ?? '').length)}
        onChange={(e) => field.type(e.target.value)}
        onKeyDown={onInputKey}
        onBlur={() => void field.commit()}
        aria-label={state.label}
        aria-invalid={field.refusal !== null}
        aria-describedby={field.refusal ? problem : undefined}
        placeholder={state.clearable ? state.text : undefined}
        data-word={k}
        autoComplete="off"
        spellCheck={false}
      />
      {field.refusal && (
        <span className="refusal" role="alert" id={problem}>
          {field.refusal}
        </span>
      )}
    </span>
  );
}
