import type { Control, FieldPath, FieldValues } from 'react-hook-form'
import { styled } from 'styled-components'
import { LIFE_MS, LIFE_YEARS } from '../../core/time/life.ts'
import { dayFromText, dayText, iso, MS_PER_MINUTE, type Day, type ZoneClock } from '../../core/time/zone.ts'
import { timeOf } from '../../core/time/words.ts'
import { TextField } from './fields.tsx'
import type { Problem, Problems } from './shell.tsx'

const Pair = styled.div`
  display: grid;
  grid-template-columns: 3fr 2fr;
  gap: 10px;
`

/** The two fields of a moment, on the household's wall clock. */
export interface WhenValues {
  date: string
  time: string
}

/** The fields for an instant. */
export const whenOf = (ms: number, clock: ZoneClock): WhenValues => ({
  date: dayText(clock.dayOf(ms)),
  time: timeOf(ms, clock),
})

/** The fields for a form opened on a day: now on today, noon on a day before. */
export const whenOn = (day: Day | null, now: number, clock: ZoneClock): WhenValues =>
  day === null || day === clock.dayOf(now) ? whenOf(now, clock) : { date: dayText(day), time: '12:00' }

/** A form may be a minute old when it is sent; a time a little ahead is the clock's, not the keeper's. */
const SLACK_MS = 2 * MS_PER_MINUTE

/**
 * The instant that date and time name.
 * @param unchanged the fields as the form was opened, with the exact instant they stand for
 */
export function readWhenFields(
  { date, time }: WhenValues,
  clock: ZoneClock,
  now: number,
  unchanged?: { values: WhenValues; at: string },
): { happened: string } | { problems: Record<'date' | 'time', Problem | undefined> } {
  if (unchanged && date === unchanged.values.date && time === unchanged.values.time) return { happened: unchanged.at }
  const day = dayFromText(date)
  const parts = /^(\d{1,2}):(\d{2})$/.exec(time)
  const fault = (field: 'date' | 'time', message: string) => ({
    problems: { date: undefined, time: undefined, [field]: { message } },
  })
  if (day === null) return fault('date', 'a day that exists, such as 2026-11-23')
  const minute = parts ? Number(parts[1]) * 60 + Number(parts[2]) : NaN
  if (!parts || Number(parts[1]) > 23 || Number(parts[2]) > 59) return fault('time', 'a time such as 21:05')
  const at = clock.instantAt(day, minute)
  if (clock.minuteOf(at) !== minute) return fault('time', 'the clocks went forward over this time; choose another')
  if (at < now - LIFE_MS) return fault('date', `a day of the last ${LIFE_YEARS} years`)
  if (at > now + SLACK_MS)
    return fault(
      day > clock.dayOf(now) ? 'date' : 'time',
      'this lies ahead; what has not happened yet cannot be logged',
    )
  // "This minute" is now, to the second: what was logged a moment ago stays before it.
  const isThisMinute = Math.floor(at / MS_PER_MINUTE) === Math.floor(now / MS_PER_MINUTE)
  return { happened: iso(isThisMinute ? now : Math.min(at, now)) }
}

interface WhenFieldsProps<V extends FieldValues> {
  control: Control<V>
  problems: Problems
}

/** When it happened. */
export function WhenFields<V extends FieldValues & WhenValues>({ control, problems }: WhenFieldsProps<V>) {
  return (
    <Pair>
      <TextField control={control} name={'date' as FieldPath<V>} label="Day" type="date" problem={problems['date']} />
      <TextField control={control} name={'time' as FieldPath<V>} label="Time" type="time" problem={problems['time']} />
    </Pair>
  )
}
