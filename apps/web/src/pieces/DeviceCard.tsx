import { styled } from '@mui/material/styles';
import type { ReactNode } from 'react';

const Card = styled('div')(({ theme: { vars } }) => ({
  display: 'flex',
  flexDirection: 'column',
  minHeight: 0,
  padding: '7px 10px 9px',
  borderRadius: 12,
  border: `1px solid ${vars?.palette.divider}`,
  backgroundColor: vars?.palette.tokens.sheet,
  '&[data-current=true]': {
    borderColor: vars?.palette.text.primary,
    boxShadow: `inset 0 0 0 1px ${vars?.palette.text.primary}`,
  },
  '& header': { display: 'flex', justifyContent: 'space-between', gap: 8, fontSize: 12, height: 18 },
  // Where both are too long, the name gives way: what is beside it is a warning as a rule.
  '& header b': {
    fontWeight: 650,
    whiteSpace: 'nowrap',
    minWidth: 0,
    overflow: 'hidden',
    textOverflow: 'ellipsis',
  },
  '& header em': { fontStyle: 'normal', color: vars?.palette.tokens.accent },
  '& header span': {
    color: vars?.palette.text.secondary,
    whiteSpace: 'nowrap',
    flex: 'none',
    maxWidth: '75%',
    overflow: 'hidden',
    textOverflow: 'ellipsis',
  },
  '& .drawing': { flex: 1, minHeight: 0, paddingTop: 4 },
}));

/** A device as it stands in the rig and in the tray. */
interface Props {
  readonly name: string;
  /** The pages that are on it, by name; none at home. */
  readonly pages?: readonly string[];
  /** A few words at the right: how many controls, or what it did last. */
  readonly aside: string;
  /** It is the one that is worked with. */
  readonly current: boolean;
  /** The device's drawing. */
  readonly children: ReactNode;
}

/** A device of the rig under its name. */
export function DeviceCard({ name, pages = [], aside, current, children }: Props) {
  return (
    <Card data-current={current}>
      <header>
        <b>
          {name}
          {pages.length > 0 && <em> › {pages.join(' › ')}</em>}
        </b>
        <span>{aside}</span>
      </header>
      <div className="drawing">{children}</div>
    </Card>
  );
}
