import { PLANS } from '../handbook/plans.data.ts'

/** Of the further plans, and of the course after an outbreak: further-schools.md 10. */
const FURTHER: Readonly<Record<string, string>> = {
  'turf-in-tank': '3 % peroxide, syringe + rigid tip, siphon, sock, timer, goggles',
  'peroxide-lift-and-spot':
    '3 % peroxide, 5-20 mL syringe + rigid tip, brush or spray, 2 buckets, timer, gloves, goggles',
  'peroxide-tank': '3 % peroxide, strips, air',
  'leather-drip': '3 % peroxide, pipette, tub, tank water',
  rest: 'rock or hides, spare water',
  aftercare: 'kits for nitrate and phosphate, torch, camera',
}

/**
 * What has to be at hand before a plan begins, one by one; an empty list where the handbooks name nothing.
 * Source: outbreaks.md 5.1, materials; further-schools.md 10.
 * @example materialsOf('coral-relocate') // ['glue', 'torch']
 */
export function materialsOf(definitionId: string): string[] {
  const row = PLANS.rows.find(({ id }) => id === definitionId)
  return (
    (row?.materials ?? FURTHER[definitionId] ?? '')
      .split(/[,;] /)
      // The handbook's own sections mean nothing on a list to shop by.
      .map((one) => one.replace(/ \([\d.]+\)/, '').trim())
      .filter((one) => one !== '')
  )
}
