export { attempt, attemptOrSay, toastIssues } from './attempt';
export { Button, buttonLook } from './button';
export { Choice } from './choice';
export { rankOption } from './rank-option';
export { Field } from './field';
export { focusAfter } from './focus-after';
export { LimitsFields } from './limits-fields';
export { newId } from './new-id';
export { loadLate } from './load-late';
export { OptionsPop, OptionsTrigger, Pop, PopRoot, PopTrigger } from './pop';
export { ProgramChoice } from './program-choice';
export {
  CautionLine,
  IssueWords,
  LanguageProvider,
  Loading,
  SpeechProvider,
  useSpeech,
} from './speech';
export { toast } from './toast';
export { issuesAt, Trouble } from './trouble';
export { DragGround, useDragged } from './drag';
export { DateField } from './date-field';
export { TypedField } from './typed-field';
export { useFormAction } from './use-form-action';
export { useKept } from './use-kept';
export { useUndo } from './use-undo';
export type { ProgramTarget } from './program-choice';
export type { Option } from './option-item';
