import Button from '@mui/material/Button';
import { styled } from '@mui/material/styles';
import TextField from '@mui/material/TextField';
import { nameSchema } from '@nimble-lever/core/devices';
import { itemAt, parseAddress, type SingleEdit, type UnreadablePart } from '@nimble-lever/core/setup';
import { capital, editWords, placeWords } from '@nimble-lever/core/words';
import { Check } from 'lucide-react';
import { saveFile } from '../../app/saveFile.ts';
import { dropAside, retryAside } from '../../app/setup/asideEdits.ts';
import { renameAuthor } from '../../app/setup/author.ts';
import { makeEdit, makeEdits } from '../../app/setup/edits.ts';
import type { AsideEntry } from '../../app/setup/notices.ts';
import { selectSetup } from '../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../app/store.ts';
import { useDraft } from '../../app/useDraft.ts';
import { Card } from '../../pieces/Card.tsx';
import { List } from './List.tsx';
import { WORDS } from './words.ts';

const Line = styled('p')({ display: 'flex', alignItems: 'center', gap: 8 });

/** Whose edits these are, and what could not be saved or read: kept, and here to be dealt with. */
export function KeepingCard() {
  const dispatch = useAppDispatch();
  const { unreadable } = useAppSelector(selectSetup);
  const { me, aside } = useAppSelector((state) => state.setup);
  const name = useDraft(me.name, (text) => {
    const parsed = nameSchema.safeParse(text);
    if (parsed.success) dispatch(renameAuthor(parsed.data));
  });
  return (
    <Card aria-labelledby="keeping-settings">
      <h2 id="keeping-settings">{WORDS.keeping}</h2>
      <p>{WORDS.authorMeans}</p>
      <TextField
        {...name}
        size="small"
        label={WORDS.author}
        sx={{ width: 320, '& .MuiOutlinedInput-input': { paddingLeft: '14px' } }}
        slotProps={{ htmlInput: { maxLength: 60 } }}
      />
      {aside.length === 0 && unreadable.length === 0 && (
        <Line>
          <Check size={16} aria-hidden />
          {WORDS.allKept}
        </Line>
      )}
      {aside.length > 0 && <Aside entries={aside} />}
      {unreadable.length > 0 && <Unreadable parts={unreadable} />}
    </Card>
  );
}

/** Edits that could not be saved: what they were, why, and the choice to try again or let go. */
function Aside({ entries }: { readonly entries: readonly AsideEntry[] }) {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  return (
    <div>
      <h3>{WORDS.aside}</h3>
      <p>{WORDS.asideMeans}</p>
      <List>
        {entries.map((each) => {
          const { entry, edit, detail, at } = each;
          const what = capital(editWords(setup, edit));
          return (
            <li key={entry.id}>
              <b>{what}</b>
              <small>
                {new Date(at).toLocaleString()} · {detail}
              </small>
              <span className="acts">
                <Button aria-label={WORDS.tryAgainOf(what)} onClick={() => dispatch(retryAside(entry.id))}>
                  {WORDS.tryAgain}
                </Button>
                <Button
                  aria-label={WORDS.asFileOf(what)}
                  onClick={() => saveFile(`${entry.id}.json`, JSON.stringify(each, null, 2))}
                >
                  {WORDS.asFile}
                </Button>
                <Button aria-label={WORDS.dropOf(what)} onClick={() => dispatch(dropAside(entry.id))}>
                  {WORDS.drop}
                </Button>
              </span>
            </li>
          );
        })}
      </List>
    </div>
  );
}

/** Parts of the stored set-up that could not be read, in words, with the choice to remove them. */
function Unreadable({ parts }: { readonly parts: readonly UnreadablePart[] }) {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  const nameOf = ({ part, name }: UnreadablePart) => {
    const [profile = '', ...slot] = name.split('/');
    const at = `${itemAt.profile(profile)}/bindings/${slot.join('/')}`;
    return part === 'binding' && parseAddress(at) ? placeWords(setup, at) : name;
  };
  const removal = ({ id }: UnreadablePart): SingleEdit => ({ kind: 'remove', at: itemAt.unreadable(id) });
  return (
    <div>
      <h3>{WORDS.unreadable}</h3>
      <p>{WORDS.unreadableMeans}</p>
      <List>
        {parts.map((part) => (
          <li key={part.id}>
            <b>
              {WORDS.parts[part.part]} “{nameOf(part)}”
            </b>
            <small>{part.wrong}</small>
            <span className="acts">
              <Button
                aria-label={WORDS.asFileOf(nameOf(part))}
                onClick={() => saveFile(`${part.id}.json`, JSON.stringify(part.stored, null, 2))}
              >
                {WORDS.asFile}
              </Button>
              <Button
                aria-label={WORDS.removeOf(nameOf(part))}
                onClick={() => dispatch(makeEdit(removal(part)))}
              >
                {WORDS.remove}
              </Button>
            </span>
          </li>
        ))}
      </List>
      {parts.length > 1 && (
        <Button sx={{ mt: 1 }} onClick={() => dispatch(makeEdits(removalOrder(parts).map(removal)))}>
          {WORDS.removeAll}
        </Button>
      )}
    </div>
  );
}

/** What hangs on nothing else goes last, so that nothing is gone already when its turn comes. */
function removalOrder(parts: readonly UnreadablePart[]): readonly UnreadablePart[] {
  const order = ['binding', 'command', 'profile', 'macro', 'radial-menu', 'layer', 'device', 'program'];
  return parts.toSorted((a, b) => order.indexOf(a.part) - order.indexOf(b.part));
}
