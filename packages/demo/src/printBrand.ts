import { demoBrand } from './brand.ts'

console.log(JSON.stringify(demoBrand))
