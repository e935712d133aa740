import type { ContentOf } from '../../core/journal/entry.ts'
import type { Journal } from '../../core/journal/journal.ts'
import { productById } from '../../core/household/shelf.ts'
import { figures, plural } from '../../core/words/numbers.ts'
import { plain, strong, type Mark } from './marks.ts'

type DeviceKind = 'lab-result' | 'csv-columns' | 'device' | 'pump-plan'
export type DeviceContent = ContentOf<DeviceKind>

const TYPES: Record<ContentOf<'device'>['type'], string> = {
  probe: 'probe',
  photometer: 'photometer',
  pump: 'dosing pump',
  camera: 'camera',
}

/** A lab's result, a kind of table, a device or a pump's plan, as a line of the ledger. */
export function deviceMarks(journal: Journal, content: DeviceContent): Mark[] {
  switch (content.kind) {
    case 'lab-result':
      return [
        plain('lab result, '),
        strong(plural(content.results.length, 'element')),
        plain(content.sample ? `, ${content.sample}` : ''),
      ]
    case 'csv-columns':
      return [plain(`a table’s columns, ${content.columns.length} of them`)]
    case 'device':
      return [
        plain(`${TYPES[content.type]} `),
        strong(content.name),
        plain(content.retired ? ' taken off' : ' attached'),
      ]
    case 'pump-plan': {
      const mlPerDay = content.mlByHour.reduce((sum, ml) => sum + ml, 0)
      const what = productById(journal, content.productId)?.name ?? content.productId
      return content.stopped
        ? [plain('pump '), strong('stopped'), plain(content.why ? `: ${content.why}` : '')]
        : [plain('pump: '), strong(`${figures(mlPerDay)} mL a day`), plain(` of ${what}`)]
    }
  }
}
