import { Dialog, Heading as AriaHeading, Modal, ModalOverlay } from 'react-aria-components'
import { styled } from 'styled-components'
import type { Content } from '../../core/journal/entry.ts'
import { Button, PrimaryButton } from '../look/buttons.ts'
import { Line, Stack } from '../look/text.ts'
import { DoubtList, useDoubts } from './Doubts.tsx'

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
  padding: 20px;
  width: min(560px, calc(100vw - 24px));
  max-height: calc(100dvh - 24px);
  overflow-y: auto;
`

/**
 * Asks about contents that are about to be kept, wherever they come from: what speaks against them, and what would set it aside.
 * @param onAnswered the contents with what was set aside of each
 */
export function GuardDialog({
  contents,
  onAnswered,
  onCancel,
}: {
  contents: readonly Content[]
  onAnswered: (contents: Content[]) => void
  onCancel: () => void
}) {
  const doubts = useDoubts(contents)
  return (
    <Overlay isOpen onOpenChange={(open) => !open && onCancel()}>
      <Box>
        <Dialog>
          <Stack $gap={14}>
            <AriaHeading slot="title">Before you log this</AriaHeading>
            <DoubtList doubts={doubts} />
            <Line>
              <PrimaryButton isDisabled={!doubts.isClear} onPress={() => onAnswered(doubts.answered(contents))}>
                Log it
              </PrimaryButton>
              <Button onPress={onCancel}>Go back</Button>
            </Line>
          </Stack>
        </Dialog>
      </Box>
    </Overlay>
  )
}
