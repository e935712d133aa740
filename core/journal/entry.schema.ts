import Type, { type Static } from 'typebox'
import { instant, strict } from '../schema/types.ts'
import { AnimalChange, Arrival, DeadOnArrival, Death, Departure, Expected, Move } from './contents/animals.schema.ts'
import {
  AcclimationEnd,
  AcclimationEvent,
  AcclimationStart,
  IntroductionEnd,
  IntroductionMark,
  IntroductionStart,
  Skirmish,
  Training,
} from './contents/arrivals.schema.ts'
import { CaseEnd, CaseMark, CaseStart, Clip, Tally } from './contents/cases.schema.ts'
import {
  Away,
  Chore,
  CourseChange,
  CourseEnd,
  CourseEvent,
  CourseMark,
  CourseStart,
  Task,
} from './contents/courses.schema.ts'
import {
  EquipmentSwitch,
  Household,
  KitChange,
  KitSetup,
  ProductChange,
  ProductSetup,
  TankChange,
  TankSetup,
} from './contents/household.schema.ts'
import { CsvColumns, Device, LabResult, PumpPlan } from './contents/lab.schema.ts'
import {
  BenchEnd,
  BenchMark,
  BenchStart,
  GearChange,
  GearClean,
  GearSetup,
  PartChange,
  PartSetup,
} from './contents/things.schema.ts'
import {
  Bath,
  Contact,
  Count,
  Dose,
  Feed,
  NewWater,
  Note,
  Photo,
  Reading,
  Sighting,
  TopOff,
  WaterChange,
} from './contents/water.schema.ts'
import { id, opt, words } from './contents/parts.schema.ts'
import { FORMAT_NAME } from './format.ts'

/** Everything that can happen, apart from corrections and strike-outs. */
export const Content = Type.Union([
  Household,
  TankSetup,
  TankChange,
  EquipmentSwitch,
  KitSetup,
  KitChange,
  ProductSetup,
  ProductChange,
  Arrival,
  AnimalChange,
  Expected,
  DeadOnArrival,
  AcclimationStart,
  AcclimationEvent,
  AcclimationEnd,
  Move,
  Death,
  Departure,
  Reading,
  WaterChange,
  Dose,
  Sighting,
  Count,
  Photo,
  IntroductionStart,
  IntroductionMark,
  IntroductionEnd,
  Skirmish,
  Training,
  Note,
  Task,
  CourseStart,
  CourseChange,
  CourseEvent,
  CourseEnd,
  CourseMark,
  Away,
  Chore,
  Bath,
  Feed,
  TopOff,
  Contact,
  NewWater,
  PartSetup,
  PartChange,
  GearSetup,
  GearChange,
  GearClean,
  BenchStart,
  BenchMark,
  BenchEnd,
  CaseStart,
  CaseMark,
  CaseEnd,
  Tally,
  Clip,
  LabResult,
  CsvColumns,
  Device,
  PumpPlan,
])
export type Content = Static<typeof Content>
export type ContentKind = Content['kind']
export type ContentOf<K extends ContentKind> = Extract<Content, { kind: K }>

/**
 * The frame of one line of the journal, content apart: an entry records something, or corrects an earlier entry (content
 * of the same kind takes its place), or strikes one out. Nothing is ever changed in place.
 */
export const EntryFrame = strict({
  id: id(),
  logged: instant('when it was written down'),
  content: opt(Type.Unknown({ description: 'one of the contents; every entry but a strike-out has one' })),
  corrects: opt(id('the first entry, also when it was corrected before')),
  strikes: opt(id('an entry, or a correction or strike-out to take back')),
  why: opt(words('of a strike-out')),
})

export const JournalFile = strict({
  format: Type.Literal(FORMAT_NAME),
  version: Type.Integer({ minimum: 1 }),
  exported: instant('when the file was written'),
  checksum: opt(Type.String({ pattern: '^[0-9a-f]{8}$', description: 'CRC-32 of the entries, a line of JSON each' })),
  entries: Type.Array(Type.Unknown({ description: 'entries' })),
})
