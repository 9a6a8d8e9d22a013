import { styled } from '@mui/material/styles';
import { FACE_COLOURS, type Face } from '@nimble-lever/core/setup';
import { WORDS } from './words.ts';

const Row = styled('div')({ display: 'flex', gap: 5, flexWrap: 'wrap' });
const Swatch = styled('button')<{ ownerState: { colour: (typeof FACE_COLOURS)[number] } }>(
  ({ theme: { vars }, ownerState: { colour } }) => ({
    width: 24,
    height: 24,
    padding: 0,
    border: `1px solid ${vars?.palette.text.secondary}`,
    borderRadius: 6,
    cursor: 'pointer',
    backgroundColor: vars?.palette.tokens.face[colour],
    '&[aria-pressed=true]': {
      boxShadow: `0 0 0 2px ${vars?.palette.tokens.sheet}, 0 0 0 4px ${vars?.palette.text.primary}`,
    },
    '&:disabled': { opacity: 0.4, cursor: 'default' },
  }),
);

interface Props {
  /** Null for none. */
  readonly colour: Face['colour'];
  readonly disabled?: boolean;
  readonly onChange: (colour: Face['colour']) => void;
}

/** One of the colours there are; the same again takes it off. */
export function ColourField({ colour: chosen, disabled = false, onChange }: Props) {
  return (
    <Row role="group" aria-label={WORDS.colour}>
      {FACE_COLOURS.map((colour) => (
        <Swatch
          key={colour}
          type="button"
          ownerState={{ colour }}
          aria-label={`${WORDS.colour}: ${colour}`}
          title={colour}
          aria-pressed={chosen === colour}
          disabled={disabled}
          onClick={() => onChange(chosen === colour ? null : colour)}
        />
      ))}
    </Row>
  );
}
