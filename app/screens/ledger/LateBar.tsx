import { styled } from 'styled-components'
import { spanText } from '../../../core/time/words.ts'
import { MS_PER_HOUR } from '../../../core/time/zone.ts'
import { useNow } from '../../frame/now.tsx'
import type { DueSomewhere } from './due.ts'

const Bar = styled.div`
  flex: none;
  display: flex;
  gap: 4px 20px;
  align-items: baseline;
  flex-wrap: wrap;
  padding: 7px 16px;
  border-bottom: 2px solid var(--act);
  background: var(--sheet);
  font-size: 15px;
  strong {
    color: var(--act);
  }
  button {
    min-height: 32px;
    padding: 0;
    border: 0;
    background: none;
    color: var(--ink);
    font-size: 15px;
    text-decoration: underline;
    text-decoration-color: var(--strong-rule);
    text-underline-offset: 3px;
    cursor: pointer;
  }
  button span {
    color: var(--quiet);
  }
`

/** What is late in the household, above the ledger: where more tanks stand than fit, none of it is off the screen. */
export function LateBar({ late, onGo }: { late: readonly DueSomewhere[]; onGo: (tankId: string) => void }) {
  const now = useNow()
  return (
    <Bar role="region" aria-label="Late in the household">
      <strong>{late.length} late</strong>
      {late.map(({ task, tank, urgency }) => (
        <button key={task.id} type="button" onClick={() => onGo(tank.id)}>
          {tank.name}: {task.title} <span>{spanText(Math.max(0, now - urgency.best) / MS_PER_HOUR)}</span>
        </button>
      ))}
    </Bar>
  )
}
