export { attempt, attemptOrSay } from './attempt';
export { Button, buttonLook } from './button';
export { Choice, contains } from './choice';
export { Field } from './field';
export { SpeechProvider, useSpeech, Words } from './speech';
export { issuesAt, Trouble } from './trouble';
export { useFormAction } from './use-form-action';
export { useKept } from './use-kept';
export type { Option } from './choice';
