import { Button } from '../../look/buttons.ts'
import { Stack, Title } from '../../look/text.ts'
import { Waiting } from './Waiting.ts'

/** What may hold up a browser's storage that has not answered for some seconds. */
export function SlowBrowser({ seconds, onRetry }: { seconds: number; onRetry: () => void }) {
  return (
    <Waiting role="alert">
      <Stack>
        <Title>This browser does not answer</Title>
        <p>
          Brinvo has asked it for the journal for {seconds} seconds. Most often another tab holds it up, or a private
          window that may keep nothing, or a disk that is full. Nothing of your journal is touched.
        </p>
        <p>Close other tabs with Brinvo, or open it in a normal window; then try again.</p>
        <div>
          <Button onPress={onRetry}>Load the page again</Button>
        </div>
      </Stack>
    </Waiting>
  )
}
