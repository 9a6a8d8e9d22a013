import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import { emptyProfileEdit } from '@nimble-lever/core/programs';
import { profileChain } from '@nimble-lever/core/resolve';
import { EVERYWHERE, itemAt, type Profile, type Setup } from '@nimble-lever/core/setup';
import { profileName } from '@nimble-lever/core/words';
import { ArrowRight } from 'lucide-react';
import { Fragment } from 'react';
import { pinProfile } from '../../../app/engine/pinning.ts';
import { makeEdit } from '../../../app/setup/edits.ts';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../app/store.ts';
import { ChoiceField } from '../../../pieces/ChoiceField.tsx';
import { useSay } from '../say.ts';
import { WORDS } from '../words.ts';

const Card = styled('section')(({ theme: { vars } }) => ({
  flex: 'none',
  display: 'flex',
  flexDirection: 'column',
  gap: 12,
  padding: '14px 16px',
  border: `1px solid ${vars?.palette.divider}`,
  borderRadius: 12,
  '& h2': { margin: 0, fontSize: 13, fontWeight: 650 },
  '& .chain': { margin: 0, padding: 0, listStyle: 'none', display: 'flex', flexWrap: 'wrap', gap: 8 },
  '& .chain li': { display: 'flex', alignItems: 'center', gap: 8 },
  '& .link': {
    display: 'flex',
    flexDirection: 'column',
    minWidth: 116,
    padding: '8px 12px',
    borderRadius: 8,
    border: `1px solid ${vars?.palette.divider}`,
    backgroundColor: vars?.palette.tokens.background,
  },
  '& .link.first': {
    borderColor: vars?.palette.tokens.accent,
    backgroundColor: vars?.palette.tokens.accentTint,
  },
  '& .link.last': { borderStyle: 'dashed' },
  '& .link b': { fontWeight: 650, fontSize: 13 },
  '& small': { fontSize: 11, color: vars?.palette.text.secondary },
  '& svg': { color: vars?.palette.text.secondary, flex: 'none' },
  '& .bar': { display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 8, fontSize: 12 },
  '& .MuiButton-root': { minHeight: 28, paddingBlock: 1, fontSize: 12 },
}));

interface Props {
  readonly profile: Profile;
  readonly onCopy: () => void;
}

/** A profile: the chain in which a control is looked up, what it is based on, and what can be done with all of it. */
export function ProfileCard({ profile, onCopy }: Props) {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const { say } = useSay();
  const pinned = useAppSelector((state) => state.engine.engine.pinned);
  const chain = profileChain(setup, profile.id);
  const name = profileName(setup, profile.id);
  const empty = emptyProfileEdit(profile);
  const isPinned = pinned === profile.id;
  return (
    <Card aria-label={name}>
      <h2>{name}</h2>
      <ol className="chain" aria-label={WORDS.chainOf(name)}>
        {chain.map((link, i) => (
          <Fragment key={link.id}>
            <li>
              <span className={i === 0 ? 'link first' : 'link'}>
                <b>{profileName(setup, link.id)}</b>
                <small>{WORDS.setHere(Object.keys(link.bindings).length)}</small>
              </span>
              <ArrowRight size={16} aria-hidden />
            </li>
          </Fragment>
        ))}
        <li>
          <span className="link last">
            <b>{WORDS.itself}</b>
            <small>{WORDS.itselfMeans}</small>
          </span>
        </li>
      </ol>
      <div className="bar">
        {profile.id !== EVERYWHERE && (
          <>
            {WORDS.basedOn}
            <ChoiceField
              label={WORDS.basedOn}
              value={profile.basedOn ?? EVERYWHERE}
              options={[
                [EVERYWHERE, WORDS.onlyEverywhere],
                ...basesFor(setup, profile).map((id) => [id, profileName(setup, id)] as const),
              ]}
              onChange={(id) =>
                dispatch(
                  makeEdit({
                    kind: 'set',
                    at: itemAt.profile(profile.id),
                    fields: { basedOn: id === EVERYWHERE ? null : id },
                  }),
                )
              }
            />
          </>
        )}
        <Button disabled={!empty} onClick={onCopy}>
          {WORDS.copyTo}
        </Button>
        <Button
          disabled={!empty}
          onClick={() => {
            if (!empty) return;
            dispatch(makeEdit(empty));
            say(WORDS.emptied(name));
          }}
        >
          {WORDS.putBack}
        </Button>
        <Button onClick={() => dispatch(pinProfile(isPinned ? null : profile.id))} aria-pressed={isPinned}>
          {isPinned ? WORDS.unpin : WORDS.pin}
        </Button>
      </div>
    </Card>
  );
}

/** The profiles one can be based on: not itself, and none that is based on it. */
function basesFor(setup: Setup, { id }: Profile): readonly string[] {
  return Object.keys(setup.profiles).filter(
    (other) => other !== EVERYWHERE && !profileChain(setup, other).some((link) => link.id === id),
  );
}
