// A thread knows nothing of the loader its parent was started with: this registers it and hands over.
import { register } from 'tsx/esm/api'

register()
await import('./fitThread.ts')
