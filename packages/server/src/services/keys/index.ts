export { listDoors, makeDoor, receiveCustomers, removeDoor, renewDoor } from './doors.ts'
export { listKeys, makeKey, removeKey } from './keys.ts'
