export { SentenceEditor } from './sentence-editor';
export { RulesPhrase } from './rules-phrase';
export { PlayedBy, Toggle } from './change-parts';
export { Stepper } from './phrase-parts';
export { LEVEL_WORDS, METER_OPTIONS } from './at-phrase';
export { changeOptions, CHANGE_STARTS } from './change-starts';
export { AsEditor, ChangeEditor, StickingEditor } from './editors';
