import { Dialog, Heading as AriaHeading } from 'react-aria-components'
import { styled } from 'styled-components'
import type { ContentOf } from '../../core/journal/entry.ts'
import { Button } from '../look/buttons.ts'
import { DialogBox, Overlay } from '../look/overlay.ts'
import { Line } from '../look/text.ts'
import { KeptPicture } from './Pictures.tsx'

const Fitted = styled.div`
  img {
    display: block;
    width: auto;
    max-width: 100%;
    height: auto;
    max-height: calc(100dvh - 130px);
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
    <DialogBox>
      <Dialog>
        <Line style={{ justifyContent: 'space-between', paddingBottom: 10 }}>
          <AriaHeading slot="title">{title}</AriaHeading>
          <Button onPress={onClose}>Close</Button>
        </Line>
        <Fitted>
          <KeptPicture content={content} alt={title} />
        </Fitted>
      </Dialog>
    </DialogBox>
  </Overlay>
)
