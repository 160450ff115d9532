export {
  actionStates,
  actionTransition,
  stands,
  type ActionEvent,
  type ActionPosition,
  type ActionState,
  type ActionTransition,
} from './actionState.ts'
