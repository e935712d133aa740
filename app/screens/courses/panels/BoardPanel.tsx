import { boardOf, type TankBoard } from '../../../../core/courses/board/tank-board.ts'
import { conflictWords, heldWords, testsWords, wantWords } from '../../../../core/courses/board/board-words.ts'
import { tankById } from '../../../../core/household/tanks.ts'
import { measureText } from '../../../../core/words/measure.ts'
import { capital, listed } from '../../../../core/words/numbers.ts'
import { useNow } from '../../../frame/now.tsx'
import { useHousehold } from '../../../journal/provider.tsx'
import { Bar, Facts, Heading, Quiet, Stack } from '../../../look/text.ts'

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
        <span>
          One water <Quiet>{listed(board.courses.map(({ name }) => name))}</Quiet>
        </span>
        <Quiet>{tankById(journal, tankId)?.name}</Quiet>
      </Heading>
      <Stack $gap={12} style={{ paddingTop: 12 }}>
        {board.conflicts.map((conflict) => (
          <Bar key={`${conflict.follow.course}-${conflict.wait.course}-${conflict.wait.thing}`} $tone="act">
            {conflictWords(conflict)}.
          </Bar>
        ))}
        <Facts>
          {rows.map(([name, words]) => (
            <div key={name}>
              <dt>{name}</dt>
              <dd>{words}</dd>
            </div>
          ))}
        </Facts>
      </Stack>
    </section>
  )
}

type Units = Parameters<typeof heldWords>[1]

/** What is held, what is off, what is tested and changed once for all of them. */
function rowsOf(board: TankBoard, units: Units): [string, string][] {
  const { held, orders, changeToday } = board
  const tests = testsWords(board)
  return [
    ...(held.length > 0
      ? [['hold', held.map((one) => heldWords(one, units)).join('; ')] satisfies [string, string]]
      : []),
    ...(orders.length > 0
      ? [
          ['as ordered', orders.map((order) => `${capital(wantWords(order))}: ${order.why}`).join('; ')] satisfies [
            string,
            string,
          ],
        ]
      : []),
    ...(tests === null ? [] : [['test today', `${tests}, once for all`] satisfies [string, string]]),
    ...(changeToday?.change
      ? [
          ['change today', `${measureText(changeToday.change.litres, 'L', units, 3)}, once for all`] satisfies [
            string,
            string,
          ],
        ]
      : []),
  ]
}
