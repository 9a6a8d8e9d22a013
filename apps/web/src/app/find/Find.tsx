import { styled } from '@mui/material/styles';
import { Search } from 'lucide-react';
import { lazy, Suspense, useCallback, useEffect, useRef, useState } from 'react';
import { Keycap } from '../../pieces/Keycap.tsx';
import { letterOf } from '../letterOf.ts';
import { untilRead } from '../shell/untilRead.ts';
import { WORDS } from '../shell/words.ts';
import { once, whenIdle } from '../whenIdle.ts';
import type { FindSource } from './findSource.ts';

/** Read when the first view is drawn, so that what is typed right after Ctrl+K is not lost. */
const readDialog = once(() => untilRead(() => import('./FindDialog.tsx')));
const FindDialog = lazy(async () => ({ default: (await readDialog()).FindDialog }));

const Opener = styled('button')(({ theme: { vars } }) => ({
  display: 'flex',
  alignItems: 'center',
  gap: 8,
  width: 210,
  minWidth: 0,
  height: 32,
  padding: '0 8px 0 10px',
  border: `1px solid ${vars?.palette.divider}`,
  borderRadius: 8,
  font: 'inherit',
  fontSize: 13,
  textAlign: 'left',
  cursor: 'pointer',
  color: vars?.palette.text.secondary,
  backgroundColor: vars?.palette.tokens.background,
  '& span': { flex: 1, overflow: 'hidden', textOverflow: 'ellipsis', whiteSpace: 'nowrap' },
  '& svg': { flex: 'none' },
}));

/** Finds any control or command and goes to its cell; Ctrl+K opens it from everywhere. */
export function Find({ readSource }: { readonly readSource: () => Promise<FindSource> }) {
  const [open, setOpen] = useState(false);
  // Not before the first view: it is rarely called in the first second.
  const [wanted, setWanted] = useState(false);
  useEffect(() => whenIdle(() => setWanted(true)), []);
  // What is found comes with the dialog: it is not needed to draw the first view.
  const [source, setSource] = useState<FindSource | null>(null);
  useEffect(() => {
    if (!wanted && !open) return;
    void untilRead(readSource).then(setSource);
  }, [wanted, open, readSource]);
  const [begun, setBegun] = useState('');
  const ready = useRef(false);
  const waiting = useRef(false);
  waiting.current = open && !ready.current;
  const onReady = useCallback(() => {
    ready.current = true;
    waiting.current = false;
  }, []);
  useEffect(() => {
    const onKeyDown = (event: KeyboardEvent) => {
      // Typed before the dialog is read: it begins with that.
      if (waiting.current && event.key.length === 1 && !event.ctrlKey && !event.metaKey && !event.altKey) {
        event.preventDefault();
        setBegun((before) => before + event.key);
        return;
      }
      if (!event.isTrusted || letterOf(event) !== 'k' || !(event.ctrlKey || event.metaKey)) return;
      if (event.defaultPrevented || event.shiftKey || event.altKey) return;
      event.preventDefault();
      setOpen(true);
    };
    window.addEventListener('keydown', onKeyDown);
    return () => window.removeEventListener('keydown', onKeyDown);
  }, []);
  return (
    <>
      <Opener type="button" onClick={() => setOpen(true)}>
        <Search size={15} aria-hidden />
        <span>{WORDS.find}</span>
        <Keycap shortcut="Ctrl+K" />
      </Opener>
      <Suspense>
        {source && (wanted || open) && (
          <FindDialog
            source={source}
            begun={begun}
            open={open}
            onReady={onReady}
            onClose={() => {
              setBegun('');
              setOpen(false);
            }}
          />
        )}
      </Suspense>
    </>
  );
}
