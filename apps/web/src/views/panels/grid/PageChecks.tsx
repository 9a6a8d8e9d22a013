import Button from '@mui/material/Button';
import { readingDistance } from '@nimble-lever/core/devices';
import {
  type CellProblem,
  checkPanelPage,
  isUsed,
  LEAST_TARGET,
  type PanelPage,
  targetOf,
} from '@nimble-lever/core/panels';
import { tidy } from '@nimble-lever/core/words';
import { useMemo } from 'react';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { useAppSelector } from '../../../app/store.ts';
import { usePictureContrast } from './usePictureContrast.ts';
import { WORDS } from './words.ts';

/** At most so many things are listed at once. */
const MOST_LISTED = 8;

interface Props {
  readonly panel: PanelPage;
  readonly profile: string;
  readonly onSelect: (control: string) => void;
}

/** Whether the page can be used and read where the panel is; each thing that is wrong leads to its cell. */
export function PageChecks({ panel, profile, onSelect }: Props) {
  const setup = useAppSelector(selectSetup);
  const { device, page } = panel;
  const checked = useMemo(
    () => checkPanelPage(setup, device, page?.id ?? null, profile),
    [setup, device, page, profile],
  );
  const contrasts = usePictureContrast(panel);
  if (checked.length === 0) return <p>{WORDS.noneHere}</p>;
  const used = checked.filter(({ control }) => isUsed(control));
  const smallest = Math.min(...used.map(({ control }) => targetOf(control)));
  const through = checked.filter(({ control }) => control.cell?.seeThrough).length;
  const wrong = checked.flatMap(({ control, problems }) => {
    const low = contrasts.get(control.id);
    const all = low ? [...problems, low] : problems;
    return all.map((problem) => ({ control, problem, key: `${control.id} ${problem.kind}` }));
  });
  return (
    <>
      <p>
        {WORDS.cellsOf(checked.length, through)}{' '}
        {used.length > 0 && WORDS.smallest(smallest.toFixed(1), LEAST_TARGET)}{' '}
        {WORDS.lettersFrom(`${tidy(readingDistance(device) / 1000)} m`)}
      </p>
      {wrong.slice(0, MOST_LISTED).map(({ control, problem, key }) => (
        <Button
          key={key}
          size="small"
          className="problem"
          onClick={() => onSelect(control.id)}
          sx={{ justifyContent: 'flex-start', textAlign: 'left' }}
        >
          {WORDS.problem(control.name, problemWords(problem))}
        </Button>
      ))}
      {wrong.length > MOST_LISTED && <p>{WORDS.more(wrong.length - MOST_LISTED)}</p>}
    </>
  );
}

function problemWords(problem: CellProblem): string {
  const words = WORDS.problems[problem.kind];
  if (problem.kind !== 'low-contrast') return words;
  return `${words}: ${WORDS.contrast(problem.ratio.toFixed(1), tidy(problem.needed))}`;
}
