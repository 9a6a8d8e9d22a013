import type { PanelPage } from '@nimble-lever/core/panels';
import { basesOf, itemAt } from '@nimble-lever/core/setup';
import { makeEdit } from '../../../app/setup/edits.ts';
import { selectSetup } from '../../../app/setup/selectors.ts';
import { useAppDispatch, useAppSelector } from '../../../app/store.ts';
import { ChoiceField } from '../../../pieces/ChoiceField.tsx';
import { WORDS } from './words.ts';

/** For no page: ids have a letter or digit at their beginning. */
const NONE = '-';

/** Which page of the panel this one is based on. */
export function BasedOn({ panel: { device, page } }: { readonly panel: PanelPage }) {
  const dispatch = useAppDispatch();
  const setup = useAppSelector(selectSetup);
  if (!page) return null;
  const others = setup.pages.filter(
    ({ id, device: owner }) => owner === device.id && id !== page.id && !basesOf(setup, id).includes(page.id),
  );
  if (others.length === 0) return null;
  const choose = (id: string) => {
    const basedOn = id === NONE ? null : id;
    const base = setup.pages.find((each) => each.id === basedOn);
    // An empty page is divided as the one it begins from.
    const isEmpty = !device.controls.some(({ cell }) => cell?.page === page.id);
    const fields = base && isEmpty ? { basedOn, grid: base.grid } : { basedOn };
    dispatch(makeEdit({ kind: 'set', at: itemAt.page(page.id), fields }));
  };
  return (
    <>
      <div className="line">
        {WORDS.basedOn}
        <ChoiceField
          label={WORDS.basedOn}
          value={page.basedOn ?? NONE}
          options={[[NONE, WORDS.basedOnNone], ...others.map(({ id, name }) => [id, name] as const)]}
          onChange={choose}
        />
      </div>
      {page.basedOn !== null && <p>{WORDS.basedOnMeans}</p>}
    </>
  );
}
