import { styled } from '@mui/material/styles';

/** A row, head or cell of the matrix: a plain box with the role it is given, as its parts are placed by hand. */
export const GridPart = styled('div')({});
