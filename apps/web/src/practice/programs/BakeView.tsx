import { usePrograms } from '../programsSlice.ts';
import { WORDS } from '../words.ts';
import { Asking } from './AskView.tsx';

/** Kettleby's dialog: how the prop is baked. */
export function BakeView() {
  const { fineness, hollow, baked } = usePrograms((rehearse) => rehearse['kettleby-bake']);
  return (
    <Asking id="kettleby-bake" all>
      <span>{WORDS.fineness(fineness)}</span>
      <span className="fine">
        <i style={{ width: `${fineness}%` }} />
      </span>
      <span>
        {hollow ? WORDS.hollow : WORDS.solid} · {WORDS.baked(baked)}
      </span>
    </Asking>
  );
}
