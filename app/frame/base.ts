/** Where built scripts lie below the app's own folder. */
const UP = '../'

/**
 * The folder the app is served from, as a URL ending in a slash: `/` on its own server, `/aquarium/` under a subpath of any
 * static host. Told from where this script lies, since the page's address may be that of any screen.
 */
export const appBase = (): URL =>
  import.meta.env.DEV ? new URL('/', window.location.href) : new URL(UP, import.meta.url)
