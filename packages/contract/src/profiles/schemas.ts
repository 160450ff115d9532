import { object } from 'yup'
import { line } from '../shared/fields.ts'
import { limits } from '../shared/limits.ts'

export const feedSchema = object({
  address: line(2000).required('enter the address of a feed'),
  name: line(limits.nameLength),
})

export const connectSchema = object({ network: line(60).required() })
