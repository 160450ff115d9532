import { expect, test } from 'vitest'
import { webAddress } from '../src/parts/webAddress.ts'

test.each([
  ['javascript:alert(1)', undefined],
  ['JaVaScRiPt:alert(1)', undefined],
  ['java\tscript:alert(1)', undefined],
  ['data:text/html,x', undefined],
  ['//orrin.example', undefined],
  ['https://', undefined],
  [null, undefined],
  ['https://orrin.example/a', 'https://orrin.example/a'],
])('the address %j is the link %j', (address, link) => expect(webAddress(address)).toBe(link))
