import { Button } from '../../look/buttons.ts'
import { Bar, Stack, Title } from '../../look/text.ts'
import { refusalOf } from '../../storage/refusal.ts'
import { Waiting } from './Waiting.ts'

/** The browser would not give the journal: why, and the ways on. @param onSample null where the sample is shown already */
export function CannotOpen({
  error,
  onRetry,
  onSample,
}: {
  error: unknown
  onRetry: () => void
  onSample: (() => void) | null
}) {
  return (
    <Waiting>
      <Stack>
        <Title>The journal cannot be opened</Title>
        <Bar $tone="act">{refusalOf(error).message}</Bar>
        <p>Nothing was lost by this. A normal window with site data allowed, or another browser, opens it.</p>
        <div>
          <Button onPress={onRetry}>Try again</Button>{' '}
          {onSample && <Button onPress={onSample}>Show the sample household</Button>}
        </div>
      </Stack>
    </Waiting>
  )
}
