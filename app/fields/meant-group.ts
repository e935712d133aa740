import { useEffect, useEffectEvent, useRef } from 'react'
import type { Water } from '../../core/catalogue/parameter.types.ts'
import { groupOfSpecies } from '../../core/catalogue/group-of-species.ts'

/**
 * Chooses a species group by what an animal is called, until the keeper has chosen one.
 * @param group as it stands in the field; one that stands there from the start was chosen before
 * @returns what to call when the keeper chooses
 */
export function useMeantGroup(species: string, water: Water, group: string, onGroup: (id: string) => void): () => void {
  const isChosen = useRef(group !== '')
  const meant = groupOfSpecies(species, water)?.id ?? ''
  const choose = useEffectEvent((id: string) => {
    if (!isChosen.current) onGroup(id)
  })
  useEffect(() => choose(meant), [meant])
  return () => {
    isChosen.current = true
  }
}
