package underhand.server.drills;

import underhand.practice.DrillLog;

/**
 * @param runs what was run
 * @param due drills that come again on that day
 */
record CalendarDayView(String day, int runs, int clean, int due) {

    static CalendarDayView of(DrillLog.CalendarDay day) {
        return new CalendarDayView(day.day().toString(), day.runs(), day.clean(), day.due());
    }
}
