import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import { addProfileOf, removeProfile } from '@nimble-lever/core/programs';
import { type FrontWindow, neverDecides } from '@nimble-lever/core/resolve';
import {
  executableRule,
  itemAt,
  type Profile,
  type Program,
  partsOf,
  profilesByProgram,
  type Rule,
  type SingleEdit,
  together,
} from '@nimble-lever/core/setup';
import { profileName } from '@nimble-lever/core/words';
import { Plus } from 'lucide-react';
import { useMemo } from 'react';
import { makeEdit } from '../../../app/setup/edits.ts';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../app/store.ts';
import { useSay } from '../say.ts';
import { WORDS } from '../words.ts';
import { ProfileName } from './ProfileName.tsx';
import { RuleLine } from './RuleLine.tsx';
import { ruleAdded } from './ruleEdits.ts';

const Box = styled('div')(({ theme: { vars } }) => ({
  display: 'flex',
  flexDirection: 'column',
  gap: 18,
  '& section': { display: 'flex', flexDirection: 'column', gap: 8 },
  '& header': { display: 'flex', alignItems: 'center', gap: 10 },
  '& h2': { margin: 0, fontSize: 13, fontWeight: 650 },
  '& p': { margin: 0, fontSize: 12, color: vars?.palette.text.secondary },
  '& ul': { margin: 0, padding: 0, listStyle: 'none', display: 'flex', flexDirection: 'column', gap: 8 },
  '& .fill': { flex: 1 },
  '& .MuiButton-root': { minHeight: 28, paddingBlock: 1, fontSize: 12, alignSelf: 'flex-start' },
}));

interface Props {
  readonly program: string;
  /** The window that is looked at; null for none. */
  readonly looked: FrontWindow | null;
}

/** The rules of a program, and those of its profiles that are for some of its windows only. */
export function RuleLists({ program, looked }: Props) {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const { say } = useSay();
  const owner = setup.programs.find(({ id }) => id === program);
  const never = useMemo(() => neverDecides(setup), [setup]);
  if (!owner) return null;
  const [main, ...others] = profilesByProgram(setup).get(program) ?? [];
  // The main one has the program's rules unless it was given its own.
  const own = [...(main && main.rules.length > 0 ? [main] : []), ...others];
  const add = (profile: Profile | null) =>
    dispatch(makeEdit(ruleAdded(owner, profile, begunRule(owner, looked))));
  const addProfile = () => {
    const made = addProfileOf(setup, program, WORDS.newProfile);
    if (!made) return;
    // Narrow to begin with: a rule for any title would take the whole program at once.
    const title = { match: 'exact', text: looked?.title || WORDS.newProfile } as const;
    const rule: Rule = { ...begunRule(owner, looked), title };
    const at = `${itemAt.profile(made.id)}/rules/${rule.id}`;
    const rules: SingleEdit = { kind: 'add', at, item: rule, after: null };
    dispatch(makeEdit(together([...partsOf(made.edit), rules])));
  };
  const remove = (profile: Profile) => {
    dispatch(makeEdit(removeProfile(setup, profile.id).edit));
    say(WORDS.removedProfile(profileName(setup, profile.id)));
  };
  const lines = (rules: readonly Rule[], profile: Profile | null) => (
    <ul>
      {rules.map((rule) => (
        <RuleLine
          key={rule.id}
          owner={owner}
          profile={profile}
          rule={rule}
          looked={looked}
          never={never.get(`${profile?.id ?? main?.id}/${rule.id}`) ?? null}
        />
      ))}
    </ul>
  );
  const addButton = (profile: Profile | null) => (
    <Button startIcon={<Plus size={14} aria-hidden />} onClick={() => add(profile)}>
      {WORDS.addRule}
    </Button>
  );
  return (
    <Box>
      <section aria-label={WORDS.rulesOf(owner.name)}>
        <header>
          <h2>{WORDS.rulesOf(owner.name)}</h2>
        </header>
        <p>{owner.rules.length === 0 ? WORDS.noRules : WORDS.mainMeans}</p>
        {lines(owner.rules, null)}
        {addButton(null)}
      </section>
      {own.map((profile) => (
        <section key={profile.id} aria-label={profileName(setup, profile.id)}>
          <header>
            <ProfileName key={profile.id} profile={profile} />
            <span className="fill" />
            {profile !== main && (
              <Button
                aria-label={WORDS.removeProfile(profileName(setup, profile.id))}
                onClick={() => remove(profile)}
              >
                {WORDS.remove}
              </Button>
            )}
          </header>
          {lines(profile.rules, profile)}
          {addButton(profile)}
        </section>
      ))}
      <section>
        <p>{WORDS.ownMeans}</p>
        <Button onClick={addProfile}>{WORDS.addProfile}</Button>
      </section>
    </Box>
  );
}

/** A rule to begin with: for the window that is looked at, or as the program's first one, or by its name. */
function begunRule({ id, rules }: Program, looked: FrontWindow | null): Rule {
  const known = rules.find(({ executable }) => executable !== null)?.executable?.text;
  return executableRule(looked?.executable || known || id);
}
