import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import type { Setup } from '@nimble-lever/core/setup';
import { editWords, fieldsWords, placeWords, refusalWords } from '@nimble-lever/core/words';
import { lazy, Suspense, useCallback, useEffect, useRef, useState } from 'react';
import { Link, useLocation } from 'react-router';
import { AskKeyboard } from '../keyboard/AskKeyboard.tsx';
import { makeEdit } from '../setup/edits.ts';
import { isPassing, type Notice } from '../setup/notices.ts';
import { selectSetup } from '../setup/selectors.ts';
import { noticeClosed } from '../setup/setupSlice.ts';
import { useAppDispatch, useAppSelector } from '../store.ts';
import { PassingNotice } from './PassingNotice.tsx';
import { Told } from './Told.tsx';
import { untilRead } from './untilRead.ts';
import { WORDS } from './words.ts';

/** What a keyboard cannot type is worked out when the first view stands. */
const TypingNotices = lazy(async () => ({
  default: (await untilRead(() => import('../keyboard/TypingNotices.tsx'))).TypingNotices,
}));

const Stack = styled('div')({
  position: 'fixed',
  top: 56,
  right: 16,
  zIndex: 1400,
  display: 'flex',
  flexDirection: 'column',
  gap: 8,
  width: 480,
  maxWidth: 'calc(100vw - 32px)',
  pointerEvents: 'none',
  '& > *': { pointerEvents: 'auto' },
});

/** What the person must know: what could not be kept and why, what someone else changed, and what can be done. */
export function Notices() {
  const setup = useAppSelector(selectSetup);
  const { notices, outdated } = useAppSelector((state) => state.setup);
  const [seen, setSeen] = useState(false);
  const { pathname } = useLocation();
  const isThere = pathname === '/settings';
  useLeftView(pathname, notices);
  const seeUnreadable = () => setSeen(true);
  return (
    <Stack>
      <AskKeyboard />
      <Suspense fallback={null}>
        <TypingNotices />
      </Suspense>
      {outdated && (
        <Told severity="info" action={<Button onClick={() => location.reload()}>{WORDS.reload}</Button>}>
          {WORDS.outdated}
        </Told>
      )}
      {setup.unreadable.length > 0 && !seen && !isThere && (
        <Told severity="warning" action={<ToSettings onDone={seeUnreadable} />} onClose={seeUnreadable}>
          {WORDS.unreadable(setup.unreadable.length)}
        </Told>
      )}
      {notices.map((notice) => (
        <OneNotice key={notice.id} notice={notice} />
      ))}
    </Stack>
  );
}

/** A notice with its way out; a refusal stands at its field, the others in the corner. */
function OneNotice({ notice }: { readonly notice: Notice }) {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const { id } = notice;
  const close = useCallback(() => dispatch(noticeClosed(id)), [dispatch, id]);
  const told = (
    <Told
      severity={notice.kind === 'overwritten' ? 'info' : 'error'}
      action={<NoticeAction notice={notice} onDone={close} />}
      onClose={close}
    >
      {noticeWords(setup, notice)}
    </Told>
  );
  return isPassing(notice) ? <PassingNotice onGone={close}>{told}</PassingNotice> : told;
}

/** What was refused in a view is of no use in another: it goes with the view. */
function useLeftView(pathname: string, notices: readonly Notice[]): void {
  const dispatch = useAppDispatch();
  const known = useRef(pathname);
  useEffect(() => {
    if (known.current === pathname) return;
    known.current = pathname;
    for (const notice of notices) if (isPassing(notice)) dispatch(noticeClosed(notice.id));
  }, [dispatch, pathname, notices]);
}

/** What can be done about a notice, and what happens to it then. */
interface ActionProps {
  readonly notice: Notice;
  readonly onDone: () => void;
}

/** Goes to where it can be dealt with. */
function ToSettings({ onDone }: Pick<ActionProps, 'onDone'>) {
  return (
    <Button component={Link} to="/settings" sx={{ whiteSpace: 'nowrap' }} onClick={onDone}>
      {WORDS.toSettings}
    </Button>
  );
}

/** What can be done about it, where something can. */
function NoticeAction({ notice, onDone }: ActionProps) {
  const dispatch = useAppDispatch();
  switch (notice.kind) {
    case 'overwritten':
      return (
        <Button
          sx={{ whiteSpace: 'nowrap' }}
          onClick={() => {
            dispatch(makeEdit(notice.back));
            onDone();
          }}
        >
          {WORDS.putBack}
        </Button>
      );
    case 'aside':
      return <ToSettings onDone={onDone} />;
    case 'refused':
    case 'said':
      return null;
  }
}

/**
 * A notice in words. What was edited comes first, so that the person knows which of their edits it is about.
 */
function noticeWords(setup: Setup, notice: Notice): string {
  switch (notice.kind) {
    // An edit that was refused has changed nothing; the person must know which one it was.
    case 'refused': {
      const { edit, refusal, detail } = notice;
      const what = edit ? editWords(setup, edit) : WORDS.earlierEdit;
      return `${WORDS.notKept(what)} ${refusal ? refusalWords(refusal) : (detail ?? '')}`;
    }
    case 'overwritten': {
      const { by, at, fields } = notice;
      const where = placeWords(setup, at);
      return fields.length === 0
        ? WORDS.removedByOther(by, where)
        : WORDS.overwritten(by, fieldsWords(fields), where);
    }
    case 'aside':
      return `${WORDS.keptAside(editWords(setup, notice.edit))} ${notice.detail}`;
    case 'said':
      return notice.words;
  }
}
