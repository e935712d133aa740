import type { Values } from '../../../core/calculators/calculators.ts'

/** Fields kept in an address, so that a link opens the same again; the tank beside them. */
export function valuesOf(params: URLSearchParams): Values {
  return Object.fromEntries([...params].filter(([key]) => key !== TANK && key.length < 40))
}

const TANK = 'tank'

export const tankOf = (params: URLSearchParams): string | null => params.get(TANK)

/** The address's parameters for fields as they stand; what is empty is left out. */
export function paramsOf(values: Values, tankId: string | null): Record<string, string> {
  return {
    ...(tankId !== null && { [TANK]: tankId }),
    ...Object.fromEntries(Object.entries(values).filter(([, value]) => value.trim() !== '')),
  }
}
