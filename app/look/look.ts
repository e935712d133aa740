/** Paper or Night, or as the system says. Kept on this device; it is no part of the journal. */
export type Look = 'system' | 'paper' | 'night'

const KEY = 'brinvo-look'
const dark = () => window.matchMedia('(prefers-color-scheme: dark)')

/** Some browsers refuse local storage altogether: the look then lasts as long as the page. */
function stored(): Look {
  try {
    const look = localStorage.getItem(KEY)
    return look === 'paper' || look === 'night' ? look : 'system'
  } catch {
    return 'system'
  }
}

let current: Look = stored()

function apply(): void {
  const night = current === 'night' || (current === 'system' && dark().matches)
  document.documentElement.dataset['look'] = night ? 'night' : 'paper'
}

export const chosenLook = (): Look => current

export function setLook(look: Look): void {
  current = look
  try {
    localStorage.setItem(KEY, look)
  } catch {
    // Without storage the choice still holds for this page.
  }
  apply()
}

/** Puts the look on the page before anything is drawn, and follows the system from then on. */
export function startLook(): void {
  apply()
  dark().addEventListener('change', apply)
}
