import { Dialog, Heading as AriaHeading, Modal, ModalOverlay } from 'react-aria-components'
import { styled } from 'styled-components'
import type { ContentOf } from '../../core/journal/entry.ts'
import { Button } from '../look/buttons.ts'
import { Line } from '../look/text.ts'
import { KeptPicture } from './Pictures.tsx'

const Overlay = styled(ModalOverlay)`
  position: fixed;
  inset: 0;
  background: color-mix(in srgb, var(--ground) 85%, transparent);
  display: grid;
  place-items: center;
  z-index: 20;
`

const Box = styled(Modal)`
  background: var(--sheet);
  border: 1.5px solid var(--ink);
  border-radius: 2px;
  padding: 14px;
  max-width: calc(100vw - 24px);
  max-height: calc(100dvh - 24px);
  overflow: auto;
  img {
    display: block;
    max-width: 100%;
    height: auto;
    max-height: calc(100dvh - 130px);
    width: auto;
  }
`

/** One picture as large as the window has room for. */
export const LargePicture = ({
  content,
  title,
  onClose,
}: {
  content: ContentOf<'photo'>
  title: string
  onClose: () => void
}) => (
  <Overlay isOpen isDismissable onOpenChange={(open) => !open && onClose()}>
    <Box>
      <Dialog>
        <Line style={{ justifyContent: 'space-between', paddingBottom: 10 }}>
          <AriaHeading slot="title">{title}</AriaHeading>
          <Button onPress={onClose}>Close</Button>
        </Line>
        <KeptPicture content={content} alt={title} />
      </Dialog>
    </Box>
  </Overlay>
)
