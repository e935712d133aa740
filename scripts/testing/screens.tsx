import { screen } from '@testing-library/react'
import type { ReactNode } from 'react'
import { Route, Routes, useLocation } from 'react-router'
import { useHousehold } from '../../app/journal/provider.tsx'
import type { Content, Entry } from '../../core/journal/entry.ts'
import { renderInHousehold } from './app.tsx'

/** What screens have kept, and where they have led, as the page has it: looked at no sooner than the page itself. */
function Kept({ kinds }: { kinds: readonly Content['kind'][] }) {
  const { journal } = useHousehold()
  const { pathname, search } = useLocation()
  return (
    <>
      <output aria-label="lines">
        {JSON.stringify(kinds.flatMap((kind) => journal.ofKind(kind).map(({ content }) => content)))}
      </output>
      <output aria-label="address">{pathname + search}</output>
    </>
  )
}

/**
 * Opens screens by their paths, with a household of these entries round them.
 * @param kinds the kinds of entries that are looked at afterwards, by `lines`
 */
export async function openScreens(
  screens: Readonly<Record<string, ReactNode>>,
  kinds: readonly Content['kind'][],
  entries: Entry[],
  path: string,
) {
  const view = await renderInHousehold(
    <>
      <Routes>
        {Object.entries(screens).map(([at, element]) => (
          <Route key={at} path={at} element={element} />
        ))}
      </Routes>
      <Kept kinds={kinds} />
    </>,
    entries,
    path,
  )
  const lines = <K extends Content['kind']>(kind: K) =>
    (JSON.parse(screen.getByLabelText('lines').textContent) as Content[]).filter(
      (content): content is Extract<Content, { kind: K }> => content.kind === kind,
    )
  return { ...view, lines, address: () => screen.getByLabelText('address').textContent }
}
