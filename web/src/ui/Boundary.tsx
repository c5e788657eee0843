import { Component, type ReactNode } from 'react';
import { NotRead } from './NotRead';

interface Props {
  /** The part of the page, as a sentence's subject: "The drawing". */
  what: string;
  children: ReactNode;
}

interface State {
  error: Error | null;
}

/** A part of a page that goes wrong says so in its place, and leaves the rest usable. */
export class Boundary extends Component<Props, State> {
  override state: State = { error: null };

  static getDerivedStateFromError(error: Error): State {
    return { error };
  }

  override render() {
    const { what, children } = this.props;
    return this.state.error ? (
      <NotRead
        what={what}
        error={new Error('Your work is kept. Try again, or load the page again.')}
        again={() => this.setState({ error: null })}
      />
    ) : (
      children
    );
  }
}
