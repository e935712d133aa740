import { useCallback, useEffect, useState } from 'react'
import type { Values } from '../../../core/calculators/calculator.ts'

const keyOf = (name: string) => `brinvo-draft-${name}`

function read(name: string): Values {
  try {
    return JSON.parse(localStorage.getItem(keyOf(name)) ?? '{}') as Values
  } catch {
    return {}
  }
}

const KEPT_AFTER_MS = 200

/**
 * What was typed into a form that is not yet an entry, kept on this device until it is: a reload loses nothing.
 * @param name of the form, with what it is about
 */
export function useDraft(name: string): [Values, (id: string, value: string) => void, () => void] {
  const [values, setValues] = useState<Values>(() => read(name))
  useEffect(() => {
    const timer = setTimeout(() => {
      try {
        localStorage.setItem(keyOf(name), JSON.stringify(values))
      } catch {
        // Without local storage what is typed lasts as long as the page.
      }
    }, KEPT_AFTER_MS)
    return () => clearTimeout(timer)
  }, [name, values])
  const change = useCallback((id: string, value: string) => setValues((before) => ({ ...before, [id]: value })), [])
  const forget = useCallback(() => {
    setValues({})
    try {
      localStorage.removeItem(keyOf(name))
    } catch {
      // See above.
    }
  }, [name])
  return [values, change, forget]
}
