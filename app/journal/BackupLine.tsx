import { useState } from 'react'
import { BACKUP_DAYS, backupDueDays } from '../../core/journal/backup.ts'
import { useNow } from '../frame/now.tsx'
import { Button } from '../look/buttons.ts'
import { Bar, Line } from '../look/text.ts'
import { lastExport } from './last-export.ts'
import { useHousehold } from './provider.tsx'

/** The line of the home that asks for an export once a month, one touch away. */
export function BackupLine() {
  const { journal, which } = useHousehold()
  const now = useNow()
  const [isDone, setDone] = useState(false)
  const exportedAt = lastExport(which)
  const days = backupDueDays(journal.firstLogged, exportedAt, now)
  if (which !== 'mine' || days === null || isDone) return null
  return (
    <Bar $tone="soon">
      <Line style={{ justifyContent: 'space-between' }}>
        <span>
          {exportedAt === null
            ? `This journal is on this device alone, for ${days} days now.`
            : `The last export was ${days} days ago.`}{' '}
          A file every {BACKUP_DAYS} days, kept elsewhere, survives a lost phone.
        </span>
        <Button
          onPress={() => {
            setDone(true)
            // The first view does without it.
            void import('./exporting.ts')
              .then(({ exportToFile }) => exportToFile(which, journal))
              .catch(() => setDone(false))
          }}
        >
          Export the journal
        </Button>
      </Line>
    </Bar>
  )
}
