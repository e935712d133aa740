import { useState } from 'react'
import { isActOff } from '../../../core/courses/acts/act-off.ts'
import { readAct } from '../../../core/courses/acts/read-act.ts'
import { WORDS_LETTERS } from '../../../core/journal/contents/text-limits.ts'
import { thisInstant, useNow } from '../../frame/now.tsx'
import { useKeeping, UnkeptNote } from '../../journal/keeping.tsx'
import { useHousehold } from '../../journal/provider.tsx'
import { Button } from '../../look/buttons.ts'
import { Small, Stack } from '../../look/text.ts'
import type { ActProps } from './act-props.ts'

/** The end of what is not reached: finished only by a written reason. */
export function CloseByReason({ plan, task }: ActProps) {
  const { journal } = useHousehold()
  const { keep, busy, unkept } = useKeeping()
  const now = useNow()
  const [why, setWhy] = useState('')
  const [problem, setProblem] = useState<string | null>(null)
  const finish = () => {
    const read = readAct(journal, plan, task, { why }, thisInstant())
    setProblem('problems' in read ? (read.problems['why']?.message ?? null) : null)
    if ('contents' in read) void keep(read.contents)
  }
  return (
    <Stack $gap={8}>
      <label>
        Finish it anyway, because
        <textarea
          value={why}
          maxLength={WORDS_LETTERS}
          rows={2}
          style={{ display: 'block', width: '100%', font: 'inherit' }}
          onChange={(event) => setWhy(event.target.value)}
        />
      </label>
      {problem !== null && <Small role="alert">{problem}</Small>}
      <div>
        <Button onPress={finish} isDisabled={busy || isActOff(task, now)}>
          Finish by this reason
        </Button>
      </div>
      {unkept && <UnkeptNote unkept={unkept} />}
    </Stack>
  )
}
