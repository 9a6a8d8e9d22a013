import { useState } from 'react';
import { goBackTo } from '../../app/setup/vaultApi.ts';
import { useAppSelector } from '../../app/store.ts';
import { WORDS } from './words.ts';

/** Makes the set-up what it was right after an edit, as one edit; gives what is said of it. */
export function useGoBack() {
  const { id, me } = useAppSelector((state) => state.setup);
  const [isGoing, setGoing] = useState(false);
  const goBack = async (revision: number, went: string): Promise<string> => {
    if (id === null) return '';
    setGoing(true);
    try {
      return (await goBackTo(id, revision, me)) ? went : WORDS.same;
    } catch (error) {
      return error instanceof Error ? error.message : '';
    } finally {
      setGoing(false);
    }
  };
  return { isGoing, goBack };
}
