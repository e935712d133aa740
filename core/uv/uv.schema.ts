import Type, { type Static } from 'typebox'
import { fraction, nonNegative, positive, strict } from '../schema/types.ts'

export const UvSizeInput = strict({
  uvcWatts: positive('UV-C given off, not taken from the mains'),
  gapCm: positive('between lamp sleeve and housing'),
  flowLPerHour: positive(),
  volumeL: positive(),
  transmission: Type.Optional(fraction('1: share of UV-C that a centimetre of this water lets through')),
})
export type UvSizeInput = Static<typeof UvSizeInput>

export const UvSize = strict({ doseMjPerCm2: nonNegative(), turnoversPerHour: positive() })
export type UvSize = Static<typeof UvSize>
