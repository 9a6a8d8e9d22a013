import type { Slot } from '@nimble-lever/core/setup';
import { useNavigate } from 'react-router';
import type { AskedUse } from '../../../app/askedUse.ts';

/** Shows a cell on the Board. */
export function useToBoard() {
  const navigate = useNavigate();
  return (slot: Slot) => {
    const state: AskedUse = { ...slot, assigning: false };
    void navigate('/board', { state });
  };
}
