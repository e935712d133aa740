import { useEffect, useRef } from 'react'
import { useNavigate } from 'react-router'

/** Id of the log line's field, so that `;` finds it from anywhere. */
export const LOG_LINE_ID = 'log-line'

export const SHORTCUTS: readonly [keys: string, does: string][] = [
  [';', 'to the log line'],
  ['.', 'to today in the ledger'],
  ['1 … 9', 'to a tank’s column in the ledger'],
  ['arrows', 'walk the ledger'],
  ['Enter', 'opens what is marked'],
  ['Esc', 'closes what is open'],
  ['?', 'this list'],
]

/** Whether a key press is meant for a field that is being typed in. */
export function isTyping(target: EventTarget | null): boolean {
  return (
    target instanceof HTMLElement &&
    (target.isContentEditable || ['INPUT', 'TEXTAREA', 'SELECT'].includes(target.tagName))
  )
}

/** Asks the ledger to go to today, or to a tank's column; the ledger listens while it is open. */
export const goInLedger = (to: { today?: boolean; column?: number }): void => {
  window.dispatchEvent(new CustomEvent('brinvo-ledger', { detail: to }))
}

/** The few keys that work everywhere. */
export function useShortcuts({ showKeys }: { showKeys: () => void }): void {
  const navigate = useNavigate()
  const show = useRef(showKeys)
  useEffect(() => {
    show.current = showKeys
  })
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || isTyping(event.target)) return
      if (event.key === ';') {
        event.preventDefault()
        document.getElementById(LOG_LINE_ID)?.focus()
      } else if (event.key === '?') {
        event.preventDefault()
        show.current()
      } else if (event.key === '.') {
        if (window.location.pathname !== '/') void navigate('/')
        goInLedger({ today: true })
      } else if (/^[1-9]$/.test(event.key) && window.location.pathname === '/')
        goInLedger({ column: Number(event.key) - 1 })
    }
    window.addEventListener('keydown', onKey)
    return () => window.removeEventListener('keydown', onKey)
  }, [navigate])
}
