import Button from '@mui/material/Button';
import { CHOICES, type Choice, type Mapping, mappingTo } from '@nimble-lever/core/vault';
import { useEffect, useMemo, useRef, useState } from 'react';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { useAppSelector } from '../../../app/store.ts';
import { ChoiceField } from '../../../pieces/ChoiceField.tsx';
import { ListSearch } from '../../../pieces/ListSearch.tsx';
import { Columns } from '../Columns.tsx';
import { PartList } from '../PartList.tsx';
import { partRows } from '../partRows.ts';
import { Side } from '../Side.tsx';
import { WORDS } from '../words.ts';
import { ComingDevices } from './ComingDevices.tsx';
import type { Planned } from './useTakeIn.ts';

interface Props {
  readonly file: string;
  readonly plan: Planned;
  readonly onMap: (mapping: Mapping) => void;
  readonly onTake: (choices: ReadonlyMap<string, Choice>) => void;
  readonly onCancel: () => void;
}

/** So many lines of what has no place, or cannot be typed, are told. */
const TOLD = 20;

/** What a file would bring: on which devices, what is new and what is otherwise, and what becomes of each. */
export function ComingFile({ file, plan, onMap, onTake, onCancel }: Props) {
  const setup = useAppSelector(selectSetup);
  // What one chose the file with is no longer there: one goes on here.
  const here = useRef<HTMLElement>(null);
  useEffect(() => here.current?.focus(), []);
  const { name, part, parts, same, lost, untypeable, devices, mapping } = plan;
  const [search, setSearch] = useState('');
  const [chosen, setChosen] = useState<ReadonlyMap<string, Choice>>(new Map());
  // What is new is taken, and nothing in the place of what is here, unless one says so.
  const choices = useMemo(
    () =>
      new Map(
        parts.map(({ key, change, choices: own }) => {
          const said = chosen.get(key);
          return [key, said && own.includes(said) ? said : change === 'new' ? 'take' : 'mine'] as const;
        }),
      ),
    [parts, chosen],
  );
  const rows = useMemo(() => {
    const listed = parts.map(({ key, section, name: own, lines, change }) => ({
      key,
      section,
      name: own,
      lines,
      chip: WORDS.comingChange[change],
    }));
    return partRows(listed, search);
  }, [parts, search]);
  const taken = useMemo(
    () => new Set([...choices].flatMap(([key, choice]) => (choice === 'mine' ? [] : [key]))),
    [choices],
  );
  const twice = useMemo(
    () => new Set(parts.flatMap(({ key, choices: own }) => (own.includes('both') ? [key] : []))),
    [parts],
  );
  const choose = (keys: readonly string[], choice: Choice) => {
    const next = new Map(chosen);
    for (const key of keys) next.set(key, choice);
    setChosen(next);
  };
  const everything = (choice: Choice) =>
    choose(
      parts.map(({ key }) => key),
      choice,
    );
  const count = [...choices.values()].filter((choice) => choice !== 'mine').length;
  const replaced = parts.filter(
    ({ key, change }) => change === 'otherwise' && choices.get(key) === 'take',
  ).length;
  const fresh = parts.filter(({ change }) => change === 'new').length;
  return (
    <Columns>
      <section className="left" aria-label={WORDS.comes} tabIndex={-1} ref={here}>
        <div className="bar">
          <div className="search">
            <ListSearch
              value={search}
              label={WORDS.searchComing}
              onChange={setSearch}
              onEnter={() => undefined}
            />
          </div>
          <span role="status" className="count">
            {WORDS.brings(fresh, parts.length - fresh, same)}
          </span>
        </div>
        {parts.length === 0 ? (
          <p className="said">{WORDS.bringsNothing}</p>
        ) : (
          <PartList
            label={WORDS.comes}
            rows={rows}
            chosen={taken}
            canChoose
            onChoose={(keys, on) => choose(keys, on ? 'take' : 'mine')}
            more={({ key, name: own }) =>
              twice.has(key) && (
                <ChoiceField
                  label={WORDS.whatBecomes(own)}
                  value={choices.get(key) ?? 'mine'}
                  options={CHOICES.map((choice) => [choice, WORDS.choices[choice]] as const)}
                  onChange={(choice) => choose([key], choice)}
                />
              )
            }
          />
        )}
      </section>
      <Side aria-label={WORDS.takeIn}>
        <h2>{WORDS.takeIn}</h2>
        <p className="what">{part ? WORDS.partOf(part, name) : name}</p>
        <p>{WORDS.fromFile(file)}</p>
        <ComingDevices
          setup={setup}
          devices={devices}
          mapping={mapping}
          onMap={(id, to) => {
            const device = plan.devices.find((each) => each.id === id);
            const own = setup.devices.find((each) => each.id === to) ?? null;
            if (!device) return;
            onMap({ ...mapping, [id]: mappingTo(device, own) });
          }}
          onControl={(id, control, to) => {
            const known = mapping[id];
            if (known)
              onMap({ ...mapping, [id]: { ...known, controls: { ...known.controls, [control]: to } } });
          }}
        />
        {lost.length > 0 && (
          <details>
            <summary>{WORDS.noPlace(lost.length)}</summary>
            <ul>
              {lost.slice(0, TOLD).map((line) => (
                <li key={line}>{line}</li>
              ))}
              {lost.length > TOLD && <li>{WORDS.moreParts(lost.length - TOLD)}</li>}
            </ul>
          </details>
        )}
        {untypeable.length > 0 && (
          <p>
            {WORDS.notTyped(untypeable.length)} {untypeable.slice(0, 6).join(', ')}
            {untypeable.length > 6 && ` ${WORDS.moreParts(untypeable.length - 6)}`}
          </p>
        )}
        <div className="acts">
          <Button onClick={() => everything('take')}>{WORDS.allAsItComes}</Button>
          <Button onClick={() => setChosen(new Map())}>{WORDS.onlyNew}</Button>
        </div>
        <p>{replaced > 0 ? WORDS.replaces(replaced) : WORDS.replacesNothing}</p>
        <div className="acts">
          <Button variant="contained" disabled={count === 0} onClick={() => onTake(choices)}>
            {WORDS.takeInThese(count)}
          </Button>
          <Button onClick={onCancel}>{WORDS.cancel}</Button>
        </div>
        <p>{WORDS.takeInUndo}</p>
      </Side>
    </Columns>
  );
}
