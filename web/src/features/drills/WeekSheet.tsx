import type { PlannedDrill } from '../../api/client';
import { GripFrame } from '../../shared/GripFrame';
import './weekSheet.css';

const DAYS = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'];

/** The week's drills of a player on one printed page, with a box to tick for each day; seen on paper only. */
export function WeekSheet({ player, drills }: { player: string; drills: PlannedDrill[] }) {
  return (
    <section className="week-sheet" aria-label="A week's sheet">
      <p className="week-title">This week, {player}</p>
      <table>
        <thead>
          <tr>
            <th>Drill</th>
            <th>What to do</th>
            <th>Tempo</th>
            {DAYS.map((day) => (
              <th key={day}>{day}</th>
            ))}
          </tr>
        </thead>
        <tbody>
          {drills.map((drill) => (
            <tr key={drill.drill}>
              <td>
                <strong>{drill.name}</strong>
                <div className="week-frames">
                  {drill.from && <GripFrame grip={drill.from} size={0.6} />}
                  {drill.to && <GripFrame grip={drill.to} size={0.6} />}
                </div>
              </td>
              <td>
                {drill.does}
                {drill.caution !== null && <small> {drill.caution}</small>}
              </td>
              <td>
                {drill.tempo} of {drill.songTempo}, {drill.minutes} min
              </td>
              {DAYS.map((day) => (
                <td key={day}>
                  <span className="week-box" />
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <p>
        Warm up, press lightly, play short runs with rests. Stop at pain, tingling or numbness and see a
        qualified health professional or your teacher.
      </p>
    </section>
  );
}
