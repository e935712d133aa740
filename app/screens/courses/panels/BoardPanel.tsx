import { styled } from 'styled-components'
import { boardOf, type TankBoard } from '../../../../core/courses/board/tank-board.ts'
import { conflictWords, heldWords, testsWords, wantWords } from '../../../../core/courses/board/board-words.ts'
import { measureText } from '../../../../core/words/measure.ts'
import { capital, listed } from '../../../../core/words/numbers.ts'
import { useNow } from '../../../frame/now.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { Bar, Heading, Quiet, Stack } from '../../../look/text.ts'

/**
 * What all courses of a tank want of its one water, settled before a step is shown.
 * @param least how many courses have to run there for it to be shown
 */
export function BoardPanel({ tankId, least }: { tankId: string; least: number }) {
  const { journal, settings } = useHousehold()
  const now = useNow()
  const board = boardOf(journal, tankId, settings, now)
  if (!board || board.courses.length < least) return null
  const rows = rowsOf(board, settings.units)
  if (rows.length === 0 && board.conflicts.length === 0) return null
  return (
    <section>
      <Heading>
        <span>What this water has to be</span>
        <Quiet>for {listed(board.courses.map(({ name }) => name))}</Quiet>
      </Heading>
      <Stack $gap={12} style={{ padding: '12px 0 22px' }}>
        {board.conflicts.map((conflict) => (
          <Bar key={`${conflict.follow.course}-${conflict.wait.course}-${conflict.wait.thing}`} $tone="act">
            {conflictWords(conflict)}.
          </Bar>
        ))}
        <Rows>
          {rows.map(([name, words]) => (
            <div key={`${name}-${words}`}>
              <dt>{name}</dt>
              <dd>{words}</dd>
            </div>
          ))}
        </Rows>
      </Stack>
    </section>
  )
}

const Rows = styled.dl`
  display: grid;
  gap: 6px 18px;
  & > div {
    display: grid;
    grid-template-columns: 120px minmax(0, 1fr);
    gap: 18px;
    @media (max-width: 759px) {
      grid-template-columns: 84px minmax(0, 1fr);
      gap: 12px;
    }
  }
  dt {
    color: var(--quiet);
  }
  dd {
    margin: 0;
  }
`

type Units = Parameters<typeof heldWords>[1]

/** What is held, what is off, what is tested and changed once for all of them. */
function rowsOf(board: TankBoard, units: Units): [string, string][] {
  const { held, orders, changeToday, courses } = board
  const tests = testsWords(board)
  const forAll = courses.length > 1 ? ', once for all courses' : ''
  const rows: [string, string][] = held.map((one) => ['hold', heldWords(one, units)])
  for (const order of orders) rows.push(['', `${capital(wantWords(order))}: ${order.why}`])
  if (rows.length > held.length) rows[held.length]![0] = 'keep'
  if (tests !== null) rows.push(['test today', `${capital(tests)}${forAll}`])
  if (changeToday?.change)
    rows.push(['change today', `${measureText(changeToday.change.litres, 'L', units, 3)}${forAll}`])
  return rows
}
