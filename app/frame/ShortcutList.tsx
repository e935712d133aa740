import { Dialog, Heading as AriaHeading, Modal, ModalOverlay } from 'react-aria-components'
import { styled } from 'styled-components'
import { Button } from '../look/buttons.ts'
import { Facts, Stack } from '../look/text.ts'
import { SHORTCUTS } from './shortcuts.ts'

const Overlay = styled(ModalOverlay)`
  position: fixed;
  inset: 0;
  background: color-mix(in srgb, var(--ground) 70%, transparent);
  display: grid;
  place-items: center;
  z-index: 20;
`

const Box = styled(Modal)`
  background: var(--sheet);
  border: 1.5px solid var(--ink);
  border-radius: 2px;
  padding: 24px;
  width: min(420px, calc(100vw - 32px));
`

export function ShortcutList({ onClose }: { onClose: () => void }) {
  return (
    <Overlay isOpen isDismissable onOpenChange={(open) => !open && onClose()}>
      <Box>
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
      </Box>
    </Overlay>
  )
}
