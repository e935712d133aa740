import type { Answer, CaseTable } from '../diagnosis/diagnosis.types.ts'

/** How a cell moves. Speeds in µm/s, lengths in µm. */
export type CellMotion =
  | { way: 'rests' }
  /** Straight along its own axis, or still; never turning. */
  | { way: 'glides'; speedUmPerS: Span; restingShare: number }
  /** Along itself, its free end swinging once in so many seconds. */
  | { way: 'sways'; speedUmPerS: Span; swaySecond: number }
  /** Round one point; a share of them has come loose and swims. */
  | { way: 'tethered'; turnsPerS: Span; freeShare: number; freeSpeedUmPerS: Span }
  /** Slowly, its course bending a little. */
  | { way: 'wanders'; speedUmPerS: Span; restingShare: number }
  /** In loops of that radius. */
  | { way: 'loops'; speedUmPerS: Span; loopUm: Span }
  /** Straight, with a new course about so often. */
  | { way: 'darts'; speedUmPerS: Span; turnEveryS: number }

export type Span = readonly [least: number, most: number]

/** Shape of a body; `core/microscope/outlines.ts` draws each. */
export type CellBody =
  | 'boat'
  | 'stick'
  | 'disc'
  | 'chain'
  | 'tear'
  | 'notched'
  | 'oblique'
  | 'beaked'
  | 'lens'
  | 'colony'
  | 'ciliate'
  | 'grain'
  | 'thread'
  | 'green-ball'

export type CellKindId =
  | 'diatoms'
  | 'cyano-chain'
  | 'ostreopsis'
  | 'prorocentrum'
  | 'coolia'
  | 'amphidinium-large'
  | 'amphidinium-small'
  | 'gambierdiscus'
  | 'chrysophytes'
  | 'ciliate'
  | 'green-thread'
  | 'green-cells'
  | 'sand'

/** A kind of thing seen under the microscope. */
export interface CellKind {
  id: CellKindId
  name: string
  /** What it is at first sight, in a few words. */
  short: string
  /** Conditions of the catalogue that it stands for. */
  conditions: readonly string[]
  /** As what it is tallied; null: not counted. */
  tally: 'diatoms' | 'dinos' | 'other' | null
  /** Of a single cell, or of a whole chain. */
  lengthUm: Span
  /** Where only part of that range is drawn: what is usual in a film. */
  drawnLengthUm?: Span
  /** Width as a share of the length, where the handbook gives no width. */
  widthShare?: Span
  widthUm?: Span
  drawnWidthUm?: Span
  bodies: readonly CellBody[]
  /** How many are drawn where one of the ordinary ones is: long ones fill a field soon (assumed). */
  crowd: number
  motion: CellMotion
  looks: string
  moves: string
  /** What told it, said after a guess. */
  givenAwayBy: string
  source: string
}

/** What an answer of the key says of signs: table by table, only tables that ask the sign. */
export type SignsSaid = Partial<Record<CaseTable, Readonly<Record<string, Answer>>>>

/** Where an answer of the key leads. */
export type KeyLead =
  | { to: string }
  | { found: KeyFind }
  /** Nothing found: what to do instead. */
  | { again: string }

/** What the key ends at. */
export interface KeyFind {
  /** Conditions it may be, of the catalogue; none: harmless or unknown. */
  conditions: readonly string[]
  words: string
  /** The length has to be measured before it is one of two. */
  measure?: true
}

export interface KeyChoice {
  id: string
  label: string
  leads: KeyLead
  says?: SignsSaid
}

/** One question of the key. */
export interface KeyStep {
  /** Node of the handbook's key. */
  id: string
  question: string
  /** How to look for it. */
  how: string
  /** Kinds that are shown beside it: those it is true of, and those it is not. */
  shows: { yes: readonly CellKindId[]; no: readonly CellKindId[] }
  choices: readonly KeyChoice[]
  /** Asked for this water only: the other goes on to `else`. */
  only?: { water: 'marine'; else: string }
}
