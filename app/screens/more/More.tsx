import { Link } from 'react-aria-components'
import { styled } from 'styled-components'
import { LookChoice } from '../../frame/LookChoice.tsx'
import { SCREENS } from '../../frame/screens.ts'
import { Page } from '../../look/page.ts'
import { Heading, Quiet, Rows, Small, Stack, Title } from '../../look/text.ts'

const ScreenLink = styled(Link)`
  display: flex;
  justify-content: space-between;
  align-items: baseline;
  gap: 16px;
  min-height: 48px;
  padding: 10px 0;
  color: var(--ink);
  font-size: 19px;
  font-weight: 650;
  text-decoration: none;
`

/** The phone's way to the other screens, and the look. */
export function More() {
  return (
    <Page>
      <Stack $gap={28}>
        <Title>Brinvo</Title>
        <nav aria-label="All screens">
          <Rows>
            {SCREENS.map(({ path, name, what }) => (
              <li key={path} style={{ padding: 0 }}>
                <ScreenLink href={path}>
                  {name} <Quiet style={{ fontSize: 15 }}>{what}</Quiet>
                </ScreenLink>
              </li>
            ))}
          </Rows>
        </nav>
        <Stack $gap={4}>
          <Heading>Look</Heading>
          <LookChoice />
        </Stack>
        <Small>
          Brinvo measures, reckons and records. It advises and does not diagnose for certain: product labels, local law
          and a licensed aquatic veterinarian come first.
        </Small>
      </Stack>
    </Page>
  )
}
