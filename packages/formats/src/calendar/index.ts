export { type CalendarEntry, writeCalendar } from './writeCalendar.ts'
