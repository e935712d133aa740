import type { ReactNode } from 'react'
import { ButtonLink } from './buttons.ts'
import { Page } from './page.ts'
import { Small, Stack, Title } from './text.ts'

/** What stands at an address of something that the journal does not hold: what is missing, and the way back. */
export function Missing({
  title,
  back,
  href,
  children,
}: {
  title: string
  back: string
  href: string
  children?: ReactNode
}) {
  return (
    <Page>
      <Stack>
        <Title>{title}</Title>
        {children !== undefined && <Small>{children}</Small>}
        <div>
          <ButtonLink href={href}>{back}</ButtonLink>
        </div>
      </Stack>
    </Page>
  )
}
