import { demoBrand } from './brand.ts'
import { kayakBrand } from './kayaks.ts'

console.log(JSON.stringify([demoBrand, kayakBrand]))
