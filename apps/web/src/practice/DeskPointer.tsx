import { styled } from '@mui/material/styles';
import { useAppSelector } from '../app/store.ts';
import { selectDesk } from './deskSlice.ts';

const Svg = styled('svg')(({ theme: { vars } }) => ({
  position: 'absolute',
  width: 20,
  height: 24,
  zIndex: 90,
  pointerEvents: 'none',
  '& path': {
    fill: vars?.palette.text.primary,
    stroke: vars?.palette.tokens.sheet,
    strokeWidth: 1.5,
    strokeLinejoin: 'round',
  },
}));

/** The desk's own pointer, once a device has moved it. */
export function DeskPointer() {
  const pointer = useAppSelector((state) => selectDesk(state).pointer);
  if (!pointer) return null;
  return (
    <Svg viewBox="0 0 20 24" aria-hidden data-desk-pointer="" style={{ left: pointer.x, top: pointer.y }}>
      <path d="M1 1V18L6 14L9.5 22L13 20.5L9.5 12.5H16Z" />
    </Svg>
  );
}
