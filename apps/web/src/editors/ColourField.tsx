import { styled } from '@mui/material/styles';
import { FACE_COLOURS, type Face } from '@nimble-lever/core/setup';
import { WORDS } from './words.ts';

type Colour = (typeof FACE_COLOURS)[number];

const Row = styled('div')({ display: 'flex', gap: 5, flexWrap: 'wrap', alignItems: 'center' });
const Swatch = styled('button')<{ ownerState: { colour: Colour } }>(
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

const Offered = styled('button')<{ ownerState: { colour: Colour } }>(
  ({ theme: { vars }, ownerState: { colour } }) => ({
    display: 'flex',
    alignItems: 'center',
    gap: 5,
    height: 24,
    padding: '0 7px',
    border: `1px solid ${vars?.palette.divider}`,
    borderRadius: 6,
    font: 'inherit',
    fontSize: 11,
    color: vars?.palette.text.primary,
    background: 'none',
    cursor: 'pointer',
    '&::before': {
      content: '""',
      width: 9,
      height: 9,
      borderRadius: 3,
      backgroundColor: vars?.palette.tokens.face[colour],
    },
    '&:disabled': { color: vars?.palette.text.secondary, cursor: 'default' },
  }),
);

/** A colour that something goes by, offered under its name. */
export interface OfferedColour {
  readonly colour: Colour;
  /** Whose it is: a program's, or a family's. */
  readonly whose: string;
}

interface Props {
  /** Null for none. */
  readonly colour: Face['colour'];
  readonly offered?: readonly OfferedColour[];
  readonly disabled?: boolean;
  readonly onChange: (colour: Face['colour']) => void;
}

/** One of the colours there are; the same again takes it off. Those that mean something here are offered by name. */
export function ColourField({ colour: chosen, offered = [], disabled = false, onChange }: Props) {
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
      {offered.map(({ colour, whose }) => (
        <Offered
          key={whose}
          type="button"
          ownerState={{ colour }}
          disabled={disabled || chosen === colour}
          title={WORDS.colourAs(whose)}
          onClick={() => onChange(colour)}
        >
          {whose}
        </Offered>
      ))}
    </Row>
  );
}
