import { styled } from '@mui/material/styles';
import type { FACE_COLOURS } from '@nimble-lever/core/setup';
import { useIcon } from './icons/useIcon.ts';

const Key = styled('div')<{ ownerState: { colour: (typeof FACE_COLOURS)[number]; blank: boolean } }>(
  ({ theme: { vars }, ownerState: { colour, blank } }) => ({
    width: 76,
    height: 76,
    flex: 'none',
    borderRadius: 12,
    padding: 6,
    display: 'flex',
    flexDirection: 'column',
    alignItems: 'center',
    justifyContent: 'center',
    gap: 6,
    overflow: 'hidden',
    textAlign: 'center',
    fontSize: 12,
    lineHeight: 1.15,
    fontWeight: 650,
    overflowWrap: 'anywhere',
    color: vars?.palette.tokens.onFace,
    backgroundColor: blank ? 'transparent' : vars?.palette.tokens.face[colour],
    border: `1px ${blank ? 'dashed' : 'solid'} ${vars?.palette.divider}`,
  }),
);

/** What a key of the drawing shows on itself. */
interface Props {
  readonly label: string;
  readonly icon: string | null;
  readonly colour: (typeof FACE_COLOURS)[number];
  /** Nothing is set, so there is no face: an empty key. */
  readonly blank: boolean;
}

/** A control's face as a key shows it. */
export function FaceKey({ label, icon, colour, blank }: Props) {
  const Icon = useIcon(icon);
  return (
    <Key ownerState={{ colour, blank }} aria-hidden>
      {Icon && <Icon size={22} strokeWidth={2.25} />}
      <span>{label}</span>
    </Key>
  );
}
