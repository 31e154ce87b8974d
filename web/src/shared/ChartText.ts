import { styled } from '@mui/material/styles';
import { MONO } from '../theme/theme';

/** Where the text of a chart is typed. */
export const ChartText = styled('textarea')(({ theme }) => ({
  width: '100%',
  font: `0.92rem/1.5 ${MONO}`,
  padding: 12,
  resize: 'vertical',
  color: theme.vars?.palette.text.primary,
  background: theme.vars?.palette.draw.sheet,
  border: `1px solid ${theme.vars?.palette.draw.rule}`,
  borderRadius: 8,
}));
