import { BAND_PROFILES } from '../../../core/catalogue/parameter.ts'
import type { TankRole } from '../../../core/household/tanks.ts'

export const ROLE_NAMES: Record<TankRole, string> = {
  display: 'display',
  quarantine: 'quarantine',
  frag: 'frag tank',
  tub: 'tub',
  jar: 'jar',
  bucket: 'bucket',
}

export const ROLE_OPTIONS = Object.entries(ROLE_NAMES).map(([value, label]) => ({ value, label }))

/** Comfort bands to choose from, by the kind of water. */
export const profileOptions = (water: string) => [
  { value: '', label: 'none' },
  ...BAND_PROFILES.filter((profile) => profile.water === water).map(({ id, name }) => ({ value: id, label: name })),
]

export const WATER_OPTIONS = [
  { value: 'marine', label: 'salt water' },
  { value: 'freshwater', label: 'fresh water' },
]
