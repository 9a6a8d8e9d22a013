import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import { EVERYWHERE, type Profile, profilesByProgram } from '@nimble-lever/core/setup';
import { profileName } from '@nimble-lever/core/words';
import { useState } from 'react';
import { pinProfile, stepProfile } from '../../../app/engine/pinning.ts';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../app/store.ts';
import { WORDS } from '../words.ts';
import { CopyProfileDialog } from './CopyProfileDialog.tsx';
import { ProfileCard } from './ProfileCard.tsx';

const Box = styled('div')(({ theme: { vars } }) => ({
  flex: 1,
  minHeight: 0,
  overflow: 'auto',
  display: 'flex',
  flexDirection: 'column',
  gap: 14,
  padding: '14px 16px',
  '& .now': {
    flex: 'none',
    display: 'flex',
    alignItems: 'center',
    flexWrap: 'wrap',
    gap: 8,
    padding: '8px 12px',
    borderRadius: 10,
    backgroundColor: vars?.palette.tokens.accentTint,
  },
  '& .now b': { fontWeight: 650 },
  '& .now .fill': { flex: 1 },
}));

/** The profiles of a program: what each is based on, what it is copied to, and which applies now. */
export function ProfilesTab({ program }: { readonly program: string | null }) {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const { profile, pinned } = useAppSelector((state) => state.engine.engine);
  const [copied, setCopied] = useState<Profile | null>(null);
  const everywhere = setup.profiles[EVERYWHERE];
  const own =
    program === null ? (everywhere ? [everywhere] : []) : (profilesByProgram(setup).get(program) ?? []);
  return (
    <Box>
      <div className="now" role="status">
        <span>
          {WORDS.appliesNow} <b>{profileName(setup, profile)}</b>,{' '}
          {pinned === null ? WORDS.byItself : WORDS.pinned}
        </span>
        <span className="fill" />
        <Button onClick={() => dispatch(stepProfile(-1))}>{WORDS.previous}</Button>
        <Button onClick={() => dispatch(stepProfile(1))}>{WORDS.next}</Button>
        <Button disabled={pinned === null} onClick={() => dispatch(pinProfile(null))}>
          {WORDS.automatic}
        </Button>
      </div>
      {own.map((each) => (
        <ProfileCard key={each.id} profile={each} onCopy={() => setCopied(each)} />
      ))}
      {copied && <CopyProfileDialog from={copied} onClose={() => setCopied(null)} />}
    </Box>
  );
}
