import { useCallback, useEffect, useRef, useState } from 'react'
import type { Values } from '../../core/calculators/calculator.ts'

/** What was typed and not yet kept as an entry, with the instant of the last key, ms since 1970. */
export interface Draft<T> {
  values: T
  at: number
}

const keyOf = (name: string) => `brinvo-draft-${name}`
/** Not among the drafts, so that nothing reads it by itself. */
const asideKeyOf = (name: string) => `brinvo-aside-${name}`

/** Each draft that was read or written on this page, with the address that was open then. */
const usedAt = new Map<string, string>()
const noteUse = (name: string) => usedAt.set(name, location.pathname)

/** The name of the log line's draft: it stands on every screen, and is none of theirs. */
export const logLineDraft = (which: string): string => `${which}-${LOG_LINE}`
const LOG_LINE = 'log-line'

/** The drafts of the screen that is open. */
const draftsHere = (): string[] =>
  [...usedAt].flatMap(([name, path]) => (path === location.pathname && !name.endsWith(LOG_LINE) ? [name] : []))

/**
 * The draft of a form on this device.
 * @param name of the form, with what it is about: `mine-reading-hall`
 * @returns null where there is none, or where the browser keeps nothing
 */
export function readDraft<T>(name: string): Draft<T> | null {
  noteUse(name)
  try {
    const kept = JSON.parse(localStorage.getItem(keyOf(name)) ?? 'null') as Partial<Draft<T>> | null
    return kept && kept.values !== undefined && typeof kept.at === 'number' ? (kept as Draft<T>) : null
  } catch {
    return null
  }
}

/** Keeps a draft. A browser without local storage keeps it as long as the page is open. */
export function keepDraft(name: string, values: unknown, at: number): void {
  noteUse(name)
  try {
    localStorage.setItem(keyOf(name), JSON.stringify({ values, at }))
  } catch {
    // The fields still hold what was typed.
  }
}

/** Drops a draft: its entry was kept, or the keeper has cancelled. */
export function forgetDraft(name: string): void {
  try {
    localStorage.removeItem(keyOf(name))
  } catch {
    // Nothing was kept.
  }
}

/** A draft that was put aside, with what was typed in it. */
export interface Aside {
  name: string
  values: unknown
}

/**
 * Puts drafts aside, so that what broke over them opens without them. They stay on this device.
 * @param names the drafts; those of the screen that is open where none are given
 */
export function putAsideDrafts(names: readonly string[] = draftsHere()): Aside[] {
  return names.flatMap((name) => {
    const draft = readDraft<unknown>(name)
    if (draft === null) return []
    try {
      localStorage.setItem(asideKeyOf(name), JSON.stringify(draft))
    } catch {
      // Storage is full: what is put aside is shown, and can be copied.
    }
    unkept.delete(name)
    forgetDraft(name)
    return [{ name, values: draft.values }]
  })
}

const KEPT_AFTER_MS = 200
/** What was changed a moment ago and is not on the device yet: another screen that opens meanwhile begins with it. */
const unkept = new Map<string, Values>()

/**
 * The values of a form that is worked out while it is typed, kept on this device until `forget`.
 * @param name of the form, with what it is about
 * @returns the values, a setter for one of them (or of what it was before, for presses that come faster than the page is drawn), and
 * `forget`
 */
export function useDraft(
  name: string,
): [Values, (id: string, value: string | ((before: string) => string)) => void, () => void] {
  const [values, setValues] = useState<Values>(() => unkept.get(name) ?? readDraft<Values>(name)?.values ?? {})
  const latest = useRef(values)
  useEffect(() => {
    const keep = () => {
      keepDraft(name, values, Date.now())
      unkept.delete(name)
    }
    const timer = setTimeout(keep, KEPT_AFTER_MS)
    // A page that is reloaded or thrown away within that time keeps the last answer as well.
    addEventListener('pagehide', keep)
    return () => {
      clearTimeout(timer)
      removeEventListener('pagehide', keep)
    }
  }, [name, values])
  useEffect(
    () => () => {
      const last = unkept.get(name)
      if (last) keepDraft(name, last, Date.now())
      unkept.delete(name)
    },
    [name],
  )
  const change = useCallback(
    (id: string, value: string | ((before: string) => string)) => {
      const next = typeof value === 'string' ? value : value(latest.current[id] ?? '')
      latest.current = { ...latest.current, [id]: next }
      unkept.set(name, latest.current)
      setValues(latest.current)
    },
    [name],
  )
  const forget = useCallback(() => {
    latest.current = {}
    unkept.delete(name)
    setValues({})
    forgetDraft(name)
  }, [name])
  return [values, change, forget]
}
