import helmet from 'helmet'
import type { RequestHandler } from 'express'

/**
 * Hashes of the two style elements the interface adds before its rules: the empty one of styled-components (its rules go
 * in through the style sheet's own interface) and the pressable-style of react-aria. The second changes with its version;
 * an end-to-end test fails when the policy refuses anything.
 */
const STYLE_HASHES = [
  "'sha256-47DEQpj8HBSa+/TImW+5JCeuQeRkm5NMpJWZG3hSuFU='",
  "'sha256-38RhXrc7EdReTKsOm23ZPOCUgniTUUcjky8QOOrQx6o='",
]

/** Security headers for every answer: nothing inline, nothing evaluated, nothing from elsewhere. */
export function securityHeaders(): RequestHandler {
  return helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        'default-src': ["'none'"],
        'script-src': ["'self'"],
        'style-src': ["'self'", ...STYLE_HASHES],
        'img-src': ["'self'", 'data:', 'blob:'],
        // A keeper's own short films, read from this device.
        'media-src': ['blob:'],
        'font-src': ["'self'"],
        'connect-src': ["'self'"],
        'worker-src': ["'self'"],
        'manifest-src': ["'self'"],
        'base-uri': ["'none'"],
        'form-action': ["'none'"],
        'frame-ancestors': ["'none'"],
      },
    },
    // Plain http on localhost: a promise of https would lock the keeper out.
    strictTransportSecurity: false,
    referrerPolicy: { policy: 'no-referrer' },
    crossOriginEmbedderPolicy: { policy: 'require-corp' },
  })
}
