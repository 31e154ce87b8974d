import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useQuery } from '@tanstack/react-query';
import { api, type CalendarDay } from '../../api/client';
import { drillKeys } from '../../api/queryKeys';
import { counted } from '../../shared/words';
import { dayOf } from './saidOfPlan';

const WEEK = 7;
const DAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

/** From so many runs on a day is as dark as days get. */
const FULL = 8;

/** What was run on the days behind, and what comes again on those ahead. */
export function Calendar({ playerId, zone }: { playerId: number | null; zone: string }) {
  const days = useQuery({
    queryKey: drillKeys.calendar(playerId),
    queryFn: ({ signal }) => api.drillCalendar(playerId, zone, signal),
  });
  const all = days.data ?? [];
  const weeks = Array.from({ length: all.length / WEEK }, (_, i) => all.slice(i * WEEK, (i + 1) * WEEK));
  const today = dayOf(new Date());
  return all.length === 0 ? null : (
    <Box component="section" aria-label="Calendar" sx={{ mt: 3 }}>
      <Typography variant="h2">Calendar</Typography>
      <Box
        component="table"
        data-testid="calendar"
        sx={{ borderSpacing: 4, my: 0.5, '& th': { fontWeight: 400, fontSize: '0.85rem' } }}
      >
        <thead>
          <tr>
            {DAYS.map((day) => (
              <th key={day} scope="col">
                {day}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {weeks.map((week) => (
            <tr key={week[0]?.day}>
              {week.map((day) => (
                <Day key={day.day} day={day} isToday={day.day === today} />
              ))}
            </tr>
          ))}
        </tbody>
      </Box>
      <Typography variant="body2" color="text.secondary">
        The fuller a day, the more was run on it; “+ 2” is how many drills come again then.
      </Typography>
    </Box>
  );
}

function Day({ day, isToday }: { day: CalendarDay; isToday: boolean }) {
  const date = new Date(`${day.day}T12:00:00`);
  const words = [
    date.toLocaleDateString('en-GB', { day: 'numeric', month: 'long' }),
    ...(day.runs > 0 ? [`${counted(day.runs, 'run')}, ${day.clean} clean`] : []),
    ...(day.due > 0 ? [`${counted(day.due, 'drill')} to come again`] : []),
  ].join(': ');
  return (
    <Box
      component="td"
      title={words}
      aria-label={words}
      aria-current={isToday ? 'date' : undefined}
      sx={{
        position: 'relative',
        width: 52,
        height: 40,
        p: 0,
        textAlign: 'center',
        border: isToday ? 2 : 1,
        borderColor: isToday ? 'primary.main' : 'divider',
        borderRadius: 1,
        overflow: 'hidden',
      }}
    >
      <Box
        sx={{
          position: 'absolute',
          left: 0,
          right: 0,
          bottom: 0,
          height: `${(100 * Math.min(day.runs, FULL)) / FULL}%`,
          bgcolor: 'draw.stays',
          opacity: 0.45,
        }}
      />
      <Box component="span" sx={{ position: 'relative', fontSize: '0.95rem' }}>
        {date.getDate()}
        {day.due > 0 && <strong> + {day.due}</strong>}
      </Box>
    </Box>
  );
}
