import { Dialog, Heading as AriaHeading } from 'react-aria-components'
import { Button } from '../look/buttons.ts'
import { DialogBox, Overlay } from '../look/overlay.ts'
import { Facts, Stack } from '../look/text.ts'
import { SHORTCUTS } from './shortcuts.ts'

export function ShortcutList({ onClose }: { onClose: () => void }) {
  return (
    <Overlay isOpen isDismissable onOpenChange={(open) => !open && onClose()}>
      <DialogBox $width={420}>
        <Dialog>
          <Stack>
            <AriaHeading slot="title">Keys</AriaHeading>
            <Facts>
              {SHORTCUTS.map(([keys, does]) => (
                <div key={keys}>
                  <dt>
                    <kbd>{keys}</kbd>
                  </dt>
                  <dd>{does}</dd>
                </div>
              ))}
            </Facts>
            <Button onPress={onClose}>Close</Button>
          </Stack>
        </Dialog>
      </DialogBox>
    </Overlay>
  )
}
