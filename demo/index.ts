import type { Entry } from '../core/journal/entry.ts'
import { openDiary, type Present } from './diary.ts'
import { cases } from './scenario/cases.ts'
import { hallReef } from './scenario/hall.ts'
import { houseAndShelf } from './scenario/house.ts'
import { quarantine } from './scenario/quarantine.ts'
import { studyPlanted } from './scenario/study.ts'
import { tubs } from './scenario/tubs.ts'

/** The sample household's journal, about four months long and ending now. Made up: every name and number is invented. */
export function buildSample(present: Present): Entry[] {
  const diary = openDiary(present)
  houseAndShelf(diary, present)
  hallReef(diary)
  quarantine(diary)
  tubs(diary)
  studyPlanted(diary)
  cases(diary)
  return diary.entries()
}
