import { ButtonLink } from '../../../look/buttons.ts'
import { Page } from '../../../look/page.ts'
import { Stack, Title } from '../../../look/text.ts'

/** Before the first tank there is nothing that a course could run in. */
export const NoTank = () => (
  <Page>
    <Stack>
      <Title>Start a course</Title>
      <p>A course runs in a tank. None is set up yet.</p>
      <div>
        <ButtonLink href="/tanks/new">Set up a tank</ButtonLink>
      </div>
    </Stack>
  </Page>
)
