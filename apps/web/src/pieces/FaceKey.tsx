import { styled } from '@mui/material/styles';
import type { ControlFace } from './controlFace.ts';
import { FaceImage, useShownPicture } from './FaceImage.tsx';
import { useIcon } from './icons/useIcon.ts';

const Key = styled('div')<{ ownerState: { colour: ControlFace['colour']; blank: boolean } }>(
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
    backgroundColor: blank ? 'transparent' : vars?.palette.tokens.face[colour ?? 'ink'],
    border: `1px ${blank ? 'dashed' : 'solid'} ${vars?.palette.divider}`,
    '&[data-pictured]': { padding: 0, justifyContent: 'flex-end', position: 'relative' },
    '& img': { position: 'absolute', inset: 0 },
    '&[data-pictured] span': {
      position: 'relative',
      width: '100%',
      padding: '2px 4px',
      boxSizing: 'border-box',
      backgroundColor: vars?.palette.tokens.face[colour ?? 'ink'],
    },
  }),
);

interface Props {
  readonly face: ControlFace;
  /** Nothing is set, so there is no face: an empty key. */
  readonly blank: boolean;
}

/** A control's face as a key shows it. */
export function FaceKey({ face: { label, isLabelled, icon, colour, picture }, blank }: Props) {
  const Icon = useIcon(icon);
  const { shown, onMissing } = useShownPicture(picture);
  return (
    <Key ownerState={{ colour, blank }} data-pictured={shown ? true : undefined} aria-hidden>
      {shown && <FaceImage picture={shown} onMissing={onMissing} />}
      {Icon && !shown && <Icon size={22} strokeWidth={2.25} />}
      {(!shown || isLabelled) && <span>{label}</span>}
    </Key>
  );
}
