import OutlinedInput from '@mui/material/OutlinedInput';
import { itemAt, type Profile } from '@nimble-lever/core/setup';
import { profileName } from '@nimble-lever/core/words';
import { makeEdit } from '../../../app/setup/edits.ts';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../app/store.ts';
import { useDraft } from '../../../app/useDraft.ts';
import { WORDS } from '../words.ts';

/** What a profile is called; left empty it keeps its name. */
export function ProfileName({ profile }: { readonly profile: Profile }) {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const name = useDraft(profileName(setup, profile.id), (text) => {
    const next = text.trim();
    if (next) dispatch(makeEdit({ kind: 'set', at: itemAt.profile(profile.id), fields: { name: next } }));
  });
  return (
    <OutlinedInput
      {...name}
      inputProps={{ 'aria-label': WORDS.profileName, maxLength: 60 }}
      sx={{ width: 240, fontWeight: 650 }}
    />
  );
}
