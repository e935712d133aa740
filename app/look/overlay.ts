import { Modal, ModalOverlay } from 'react-aria-components'
import { styled } from 'styled-components'

/** What lies over the page while a dialog is open. */
export const Overlay = styled(ModalOverlay)`
  position: fixed;
  inset: 0;
  background: color-mix(in srgb, var(--ground) 70%, transparent);
  display: grid;
  place-items: center;
  z-index: 20;
`

/** A dialog’s sheet: never larger than the window. */
export const DialogBox = styled(Modal)<{ $width?: number }>`
  background: var(--sheet);
  border: 1.5px solid var(--ink);
  border-radius: 2px;
  padding: 20px;
  ${({ $width }) => $width !== undefined && `width: min(${$width}px, calc(100vw - 24px));`}
  max-width: calc(100vw - 24px);
  max-height: calc(100dvh - 24px);
  overflow-y: auto;
`
