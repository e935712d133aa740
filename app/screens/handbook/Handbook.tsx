import { NAME_LETTERS } from '../../../core/journal/contents/text-limits.ts'
import { useDeferredValue, useEffect, useState, type ReactNode } from 'react'
import { Link } from 'react-aria-components'
import { useLocation, useParams, useSearchParams } from 'react-router'
import { styled } from 'styled-components'
import { rowId, type HandbookTable } from '../../../core/catalogue/handbook/chapters.ts'
import { inputShape, Label } from '../../fields/shell.tsx'
import { Page } from '../../look/page.ts'
import { Bar, Figure, Heading, Quiet, Small, Stack, Title } from '../../look/text.ts'
import { capital, plural } from '../../../core/words/numbers.ts'
import { sourceWords } from '../../../core/words/sources.ts'
import { holdsWord, OTHER_NAMES } from '../../../core/catalogue/handbook/other-names.data.ts'
import { fieldName, rowText, rowTitle, shown, TITLE_FIELDS, type Piece } from './values.ts'
import { placeOf, useHandbook, type Handbook as Whole, type LoadedChapter } from './whole.ts'

const Layout = styled.div`
  display: grid;
  grid-template-columns: 232px minmax(0, 1fr);
  gap: 34px;
  align-items: start;
  @media (max-width: 899px) {
    grid-template-columns: minmax(0, 1fr);
    gap: 18px;
  }
`

const Chapters = styled.nav`
  position: sticky;
  top: 16px;
  display: flex;
  flex-direction: column;
  @media (max-width: 899px) {
    position: static;
    flex-direction: row;
    flex-wrap: wrap;
    gap: 0 16px;
    /* What was found is wanted, not the way elsewhere. */
    &[data-looking='true'] {
      display: none;
    }
  }
`

const ChapterLink = styled(Link)`
  display: flex;
  align-items: center;
  min-height: 40px;
  color: var(--ink);
  text-decoration: none;
  border-bottom: 1px dotted var(--strong-rule);
  @media (max-width: 899px) {
    min-height: 44px;
  }
  &[data-hovered] {
    color: var(--second);
  }
  &[aria-current='page'] {
    font-weight: 700;
    color: var(--second);
  }
`

const Look = styled.input`
  ${inputShape}
`

const Row = styled.article`
  padding: 16px 0;
  border-bottom: 1px solid var(--rule);
  scroll-margin-top: 12px;
  &:target {
    border-left: 4px solid var(--second);
    padding-left: 14px;
  }
  h3 {
    font-size: 18px;
    line-height: 1.25;
    margin-bottom: 8px;
    display: flex;
    flex-wrap: wrap;
    gap: 2px 12px;
    align-items: baseline;
  }
  dl {
    display: grid;
    grid-template-columns: 172px minmax(0, 1fr);
    gap: 4px 18px;
    font-size: 15.5px;
    line-height: 1.42;
  }
  dt {
    color: var(--quiet);
  }
  dd ul {
    list-style: none;
  }
  @media (max-width: 759px) {
    dl {
      grid-template-columns: minmax(0, 1fr);
      gap: 0;
    }
    dd {
      margin-bottom: 6px;
    }
  }
`

const RowLink = styled(Link)`
  color: var(--second);
  text-underline-offset: 3px;
`

const ADDRESS_AFTER_MS = 300

/** Hazards stand out from the rest of a row. */
const HAZARDS: ReadonlySet<string> = new Set(['hazard', 'caution', 'doNot'])

/** The catalogue as it is read: chapters, and everything in them looked through at once. */
export function Handbook() {
  const { chapter: chapterId } = useParams()
  const [params, setParams] = useSearchParams()
  const { data } = useHandbook()
  const wanted = params.get('q') ?? ''
  const [text, setText] = useState(wanted)
  // What is found may come a moment after the keys, and the address when they rest.
  const looked = useDeferredValue(text)
  useEffect(() => {
    if (text === wanted) return
    const timer = setTimeout(
      () => setParams(text.trim() === '' ? {} : { q: text }, { replace: true }),
      ADDRESS_AFTER_MS,
    )
    return () => clearTimeout(timer)
  }, [text, wanted, setParams])
  const chapter = data?.chapters.find(({ id }) => id === chapterId) ?? null
  return (
    <Page>
      <Title style={{ marginBottom: 6 }}>Handbook</Title>
      <Small style={{ marginBottom: 18, maxWidth: 760 }}>
        What Brinvo reckons with, each number with its source. Hobby practice is custom, not literature; an editorial
        assumption is a choice made here. Labels, local law and a licensed aquatic veterinarian come first.
      </Small>
      <Layout>
        <Stack $gap={14}>
          <Stack $gap={5}>
            <Label htmlFor="look-up">Look up</Label>
            <Look
              id="look-up"
              type="search"
              maxLength={NAME_LETTERS}
              value={text}
              onChange={(event) => setText(event.target.value)}
              placeholder="copper, velvet, dinos"
            />
          </Stack>
          <Chapters aria-label="Chapters" data-looking={looked.trim() !== ''}>
            {data?.chapters.map(({ id, title }) => (
              <ChapterLink
                key={id}
                href={`/handbook/${id}`}
                aria-current={id === chapterId && text === '' ? 'page' : undefined}
              >
                {title}
              </ChapterLink>
            ))}
          </Chapters>
        </Stack>
        <div>
          {!data ? (
            <Small>Opening …</Small>
          ) : looked.trim() !== '' ? (
            <Found whole={data} text={looked} />
          ) : chapter ? (
            <ChapterBody key={chapter.id} chapter={chapter} whole={data} />
          ) : (
            <Contents whole={data} />
          )}
        </div>
      </Layout>
    </Page>
  )
}

function Contents({ whole }: { whole: Whole }) {
  return (
    <Stack $gap={0}>
      <Heading>Chapters</Heading>
      {whole.chapters.map(({ id, title, about, tables }) => (
        <ChapterLink
          key={id}
          href={`/handbook/${id}`}
          style={{ justifyContent: 'space-between', gap: 16, padding: '8px 0' }}
        >
          <span>
            <strong>{title}</strong> <Quiet>{about}</Quiet>
          </span>
          <Figure $size={14}>{tables.reduce((sum, { rows }) => sum + rows.length, 0)}</Figure>
        </ChapterLink>
      ))}
    </Stack>
  )
}

function ChapterBody({ chapter, whole }: { chapter: LoadedChapter; whole: Whole }) {
  const { hash } = useLocation()
  useEffect(() => {
    // The rows are only now on the page: the browser has looked for the place already.
    if (hash) document.getElementById(decodeURIComponent(hash.slice(1)))?.scrollIntoView()
  }, [hash])
  return (
    <Stack $gap={34}>
      {chapter.tables.map((table) => (
        <section key={table.id} {...(!table.rows.some((row, i) => rowId(row, i) === table.id) && { id: table.id })}>
          <Heading>
            {table.title}
            <Quiet style={{ fontSize: 14 }}>{plural(table.rows.length, 'row')}</Quiet>
          </Heading>
          {table.rows.map((row, i) => (
            <RowArticle key={rowId(row, i)} row={row} index={i} table={table} whole={whole} />
          ))}
        </section>
      ))}
    </Stack>
  )
}

function RowArticle({
  row,
  index,
  table,
  whole,
  isHit = false,
}: {
  row: Readonly<Record<string, unknown>>
  index: number
  table: HandbookTable
  whole: Whole
  isHit?: boolean
}) {
  const id = rowId(row, index)
  const title = capital(rowTitle(row))
  const fields = Object.entries(row).flatMap(([field, value]) => {
    if (
      TITLE_FIELDS.has(field) ||
      (field === 'parasite' && title.toLowerCase().startsWith(String(value).replace(/-/g, ' ')))
    )
      return []
    // The row's own name is no reference to itself.
    const lines = shown(value, (one) => (one === id ? undefined : whole.where(one)))
    return lines.length > 0 ? [{ field, lines }] : []
  })
  const own = typeof row['source'] === 'string' ? row['source'] : ''
  return (
    <Row {...(!isHit && { id })}>
      <h3>
        {title}
        {typeof row['id'] === 'string' && (
          <Figure $size={13.5} style={{ color: 'var(--quiet)' }}>
            {row['id']}
          </Figure>
        )}
      </h3>
      <dl>
        {fields.map(({ field, lines }) => (
          <Field key={field} field={field}>
            {lines.length === 1 ? (
              <Line pieces={lines[0]!} />
            ) : (
              <ul>
                {lines.map((pieces, i) => (
                  <li key={i}>
                    <Line pieces={pieces} />
                  </li>
                ))}
              </ul>
            )}
          </Field>
        ))}
        <dt>source</dt>
        <dd>
          <Quiet>{[own && sourceWords(own), sourceWords(table.source)].filter(Boolean).join('; ')}</Quiet>
        </dd>
      </dl>
    </Row>
  )
}

function Field({ field, children }: { field: string; children: ReactNode }) {
  return (
    <>
      <dt>{fieldName(field)}</dt>
      <dd>{HAZARDS.has(field) ? <Bar $tone="soon">{children}</Bar> : children}</dd>
    </>
  )
}

const Line = ({ pieces }: { pieces: readonly Piece[] }) =>
  pieces.map((piece, i) =>
    typeof piece === 'string' ? (
      <span key={i}>{piece}</span>
    ) : (
      <RowLink key={i} href={piece.to}>
        {piece.words}
      </RowLink>
    ),
  )

const MOST_FOUND = 40

/** Rows that hold every word that is looked for; those named so stand first. */
function Found({ whole, text }: { whole: Whole; text: string }) {
  const words = text.toLowerCase().split(/\s+/).filter(Boolean)
  const hits = whole.chapters
    .flatMap((chapter) =>
      chapter.tables.flatMap((table) =>
        table.rows.map((row, index) => ({ chapter, table, row, index, id: rowId(row, index) })),
      ),
    )
    .map((hit) => ({ ...hit, also: OTHER_NAMES[hit.id] ?? '' }))
    .filter(({ row, also }) => {
      const all = `${rowText(row)} ${also}`
      return words.every((word) => holdsWord(all, word))
    })
    .map((hit) => {
      const title = `${rowTitle(hit.row)} ${hit.id} ${hit.also}`.toLowerCase()
      return { ...hit, named: words.filter((word) => title.includes(word)).length }
    })
    .sort((a, b) => b.named - a.named)
  return (
    <section>
      <Heading>
        {hits.length === 0 ? 'Nothing found' : plural(hits.length, 'row')}
        {hits.length > MOST_FOUND && <Quiet style={{ fontSize: 14 }}>the first {MOST_FOUND}</Quiet>}
      </Heading>
      {hits.length === 0 && (
        <Small style={{ paddingTop: 10 }}>Nothing in the handbook holds all of these words. Try one of them.</Small>
      )}
      {hits.slice(0, MOST_FOUND).map(({ chapter, table, row, index, id }) => (
        <div key={`${chapter.id}-${table.id}-${id}`}>
          <Small style={{ paddingTop: 12 }}>
            <RowLink href={placeOf(chapter.id, id)}>{chapter.title}</RowLink>, {table.title}
          </Small>
          <RowArticle row={row} index={index} table={table} whole={whole} isHit />
        </div>
      ))}
    </section>
  )
}
