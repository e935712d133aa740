import type { FallbackProps } from 'react-error-boundary'
import { styled } from 'styled-components'
import { appBase } from './base.ts'
import { ButtonLink } from '../look/buttons.ts'
import { Small, Stack, Title } from '../look/text.ts'

const Page = styled.div`
  padding: 40px 24px;
  max-width: 640px;
`

export function NothingHere() {
  return (
    <Page>
      <Stack>
        <Title>There is no such page</Title>
        <p>The address may be from an older version, or mistyped. Nothing of your journal is touched.</p>
        <div>
          <ButtonLink href="/">To the ledger</ButtonLink>
        </div>
      </Stack>
    </Page>
  )
}

/** Shown where a screen failed: the journal itself is on disk and safe. */
export function SomethingBroke({ error }: FallbackProps) {
  return (
    <Page>
      <Stack>
        <Title>This screen broke</Title>
        <p>
          That is a fault of Brinvo. Everything that was shown as kept is on this device and safe; loading the page
          again usually helps.
        </p>
        <Small>{error instanceof Error ? error.message : String(error)}</Small>
        <div>
          <ButtonLink href={appBase().pathname}>Load Brinvo again</ButtonLink>{' '}
          <a href={`${appBase().pathname}records?safe`}>Export the journal, with nothing worked out</a>
        </div>
      </Stack>
    </Page>
  )
}
