/** The core's command line: makes sure it is installed and built, then hands arguments and standard input to it. */
import { readFileSync } from 'node:fs'
import { ensureCoreCommand } from './ensure/core.mjs'

const { command } = await ensureCoreCommand()
const { output, exitCode } = command(process.argv.slice(2), () => readFileSync(0, 'utf8'))
process.exitCode = exitCode
if (output !== '') process.stdout.write(`${output}\n`)
