import { type ReactNode, useMemo } from 'react';
import { KeyboardContext } from '../../pieces/keyboard.ts';
import { useAppSelector } from '../store.ts';

/** Hands the person's keyboard to every keycap. */
export function KeyboardProvider({ children }: { readonly children: ReactNode }) {
  const platform = useAppSelector((state) => state.keyboard.platform);
  const layout = useAppSelector((state) => state.keyboard.layout);
  const keyboard = useMemo(() => ({ platform, legends: layout?.legends ?? null }), [platform, layout]);
  return <KeyboardContext value={keyboard}>{children}</KeyboardContext>;
}
