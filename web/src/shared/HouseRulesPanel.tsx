import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import NativeSelect from '@mui/material/NativeSelect';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { HouseRules } from '../api/client';
import { CHOICES, type ChoiceRule } from './houseRules';
import { TOUCHED } from '../theme/theme';

/** The house rules with sides, each with its reason: for a player, or for one song otherwise than its player. */
export function HouseRulesPanel({
  rules,
  decided,
  inherited,
  without,
  onDecide,
}: {
  /** What holds now. */
  rules: HouseRules;
  /** What was decided here. */
  decided: HouseRules;
  /** Where an undecided rule comes from, such as the player. */
  inherited: string;
  /** Rules that are decided elsewhere on the page. */
  without?: ChoiceRule['field'][];
  onDecide: (change: HouseRules) => void;
}) {
  const [open, setOpen] = useState(false);
  return (
    <Box>
      <Button size="small" aria-expanded={open} onClick={() => setOpen(!open)} sx={{ px: 0 }}>
        House rules
      </Button>
      {open &&
        CHOICES.filter((rule) => !without?.includes(rule.field)).map((rule) => (
          <Choice
            key={rule.field}
            rule={rule}
            value={String(rules[rule.field] ?? rule.usual)}
            isDecided={decided[rule.field] !== undefined && decided[rule.field] !== null}
            inherited={inherited}
            onPick={(value) => onDecide({ [rule.field]: value === null ? undefined : rule.read(value) })}
          />
        ))}
    </Box>
  );
}

function Choice({
  rule,
  value,
  isDecided,
  inherited,
  onPick,
}: {
  rule: ChoiceRule;
  value: string;
  isDecided: boolean;
  inherited: string;
  onPick: (value: string | null) => void;
}) {
  return (
    <Box sx={{ mb: 1.25 }} data-rule={rule.field}>
      <Typography variant="body2" sx={{ fontWeight: 700 }}>
        {rule.question}
      </Typography>
      <NativeSelect
        value={isDecided ? value : ''}
        inputProps={{ 'aria-label': rule.question }}
        onChange={(event) => onPick(event.target.value === '' ? null : event.target.value)}
        sx={{ width: '100%', minHeight: 36, ...TOUCHED }}
      >
        <option value="">
          {inherited}: {rule.sides.find(([side]) => side === value)?.[1]}
        </option>
        {rule.sides.map(([side, words]) => (
          <option key={side} value={side}>
            {words}
          </option>
        ))}
      </NativeSelect>
      <Typography variant="caption" color="text.secondary">
        {rule.reason}
      </Typography>
    </Box>
  );
}
