import Button from '@mui/material/Button';
import { Component, type ReactNode } from 'react';
import { Message } from './Message.tsx';
import { WORDS } from './words.ts';

/** What is kept from taking the whole page with it. */
interface Props {
  readonly children: ReactNode;
}

/** Says in place of what it holds that this met an error; given another key, it tries anew. */
export class ErrorBoundary extends Component<Props, { readonly broken: boolean }> {
  override state = { broken: false };

  static getDerivedStateFromError() {
    return { broken: true };
  }

  override render() {
    if (!this.state.broken) return this.props.children;
    return (
      <Message title={WORDS.broken} detail={WORDS.brokenKept}>
        <Button onClick={() => location.reload()}>{WORDS.reload}</Button>
      </Message>
    );
  }
}
