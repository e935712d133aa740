import type { FallbackProps } from 'react-error-boundary'
import { appBase } from './base.ts'
import { ButtonLink } from '../look/buttons.ts'
import { Small, Stack, Title } from '../look/text.ts'

/** Shown where a screen failed: the journal itself is on disk and safe. */
export function SomethingBroke({ error }: FallbackProps) {
  return (
    <div style={{ padding: 24 }}>
      <Stack>
        <Title>This screen broke</Title>
        <p>
          That is a fault of Brinvo. Everything that was shown as kept is on this device and safe; loading the page
          again usually helps.
        </p>
        <Small>{error instanceof Error ? error.message : String(error)}</Small>
        <div>
          <ButtonLink href={appBase().pathname}>Load Brinvo again</ButtonLink>{' '}
          <a href={`${appBase().pathname}records?safe`}>Export the journal from a page that calculates nothing</a>
        </div>
      </Stack>
    </div>
  )
}
