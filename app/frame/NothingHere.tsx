import { styled } from 'styled-components'
import { ButtonLink } from '../look/buttons.ts'
import { Stack, Title } from '../look/text.ts'

const Page = styled.div`
  padding: 40px 24px;
  max-width: 640px;
`

/** An address that is none of the app's. */
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
