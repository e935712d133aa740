import type { FallbackProps } from 'react-error-boundary'
import { useHref } from 'react-router'
import { styled } from 'styled-components'
import type { Aside } from '../../fields/draft.ts'
import { Button, PlainButton } from '../../look/buttons.ts'
import { Bar, Line, Small, Stack, Title } from '../../look/text.ts'
import type { Part } from './Boundary.tsx'

const Page = styled.div`
  padding: 40px 24px;
  max-width: 640px;
`

const Typed = styled.pre`
  margin: 0;
  padding: 8px 12px;
  border: 1px solid var(--strong-rule);
  font-family: var(--mono);
  font-size: 15px;
  white-space: pre-wrap;
  overflow-wrap: anywhere;
`

/** What was typed, a line a field. */
function typedText(values: unknown): string {
  if (typeof values !== 'object' || values === null) return String(values)
  return Object.entries(values)
    .filter(([, value]) => value !== '' && value != null)
    .map(([field, value]) => `${field}: ${typeof value === 'object' ? JSON.stringify(value) : String(value)}`)
    .join('\n')
}

/** Loads the page afresh: what broke may have broken more than can be seen. */
const SafeRecords = () => <a href={useHref('/records?safe')}>Export the journal from a page that calculates nothing</a>

/** What stands in the place of a part of the page that broke: what became of what was typed, and the ways on. */
export function Broke({
  name,
  extent,
  aside,
  error,
  resetErrorBoundary,
}: FallbackProps & Pick<Part, 'name' | 'extent'> & { aside: readonly Aside[] }) {
  const why = error instanceof Error ? error.message : String(error)
  const typed = aside.map(({ values }) => typedText(values)).filter((text) => text !== '')
  const left = typed.length > 0 && (
    <>
      <p>What was typed and not logged yet is put aside:</p>
      {typed.map((text, i) => (
        <Typed key={i}>{text}</Typed>
      ))}
    </>
  )
  if (extent !== 'screen')
    return (
      <Bar $tone="act" role="alert">
        <strong>{name}</strong> cannot be shown. That is a fault of Brinvo; what is in the journal is safe.{' '}
        <PlainButton onPress={resetErrorBoundary}>try again</PlainButton> <SafeRecords />
        {left}
        <Small>{why}</Small>
      </Bar>
    )
  return (
    <Page role="alert">
      <Stack>
        <Title>This screen broke</Title>
        <p>
          That is a fault of Brinvo. Everything that was shown as kept is on this device and safe. The other screens
          still open.
        </p>
        {left}
        <Line>
          <Button onPress={resetErrorBoundary}>Open it again</Button>
          <SafeRecords />
        </Line>
        <Small>{why}</Small>
      </Stack>
    </Page>
  )
}
