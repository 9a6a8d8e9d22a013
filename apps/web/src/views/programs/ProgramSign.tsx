import { styled } from '@mui/material/styles';
import type { Program } from '@nimble-lever/core/setup';
import { AppWindow } from 'lucide-react';
import { useIcon } from '../../pieces/icons/useIcon.ts';

const Box = styled('span')<{ ownerState: { colour: Program['colour'] } }>(
  ({ theme: { vars }, ownerState: { colour } }) => ({
    flex: 'none',
    width: 24,
    height: 24,
    display: 'inline-flex',
    alignItems: 'center',
    justifyContent: 'center',
    borderRadius: 6,
    color: colour ? vars?.palette.tokens.onFace : vars?.palette.text.secondary,
    backgroundColor: colour ? vars?.palette.tokens.face[colour] : vars?.palette.tokens.sunk,
  }),
);

/** The colour and sign of a program, by which it is found sooner than by its name. */
export function ProgramSign({ colour, icon }: Pick<Program, 'colour' | 'icon'>) {
  const Icon = useIcon(icon) ?? AppWindow;
  return (
    <Box ownerState={{ colour }} aria-hidden>
      <Icon size={15} />
    </Box>
  );
}
