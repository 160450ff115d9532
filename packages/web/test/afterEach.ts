// Files share what was loaded, not what they mounted: a page that stays would go on listening and asking in the next file.
import { disableAutoUnmount, enableAutoUnmount } from '@vue/test-utils'
import { afterEach } from 'vitest'

disableAutoUnmount()
enableAutoUnmount(afterEach)
