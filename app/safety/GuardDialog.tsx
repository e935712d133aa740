import { Dialog, Heading as AriaHeading } from 'react-aria-components'
import type { Content } from '../../core/journal/entry.ts'
import { Button, PrimaryButton } from '../look/buttons.ts'
import { DialogBox, Overlay } from '../look/overlay.ts'
import { Line, Stack } from '../look/text.ts'
import { DoubtList, useDoubts } from './Doubts.tsx'

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
      <DialogBox $width={560}>
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
      </DialogBox>
    </Overlay>
  )
}
