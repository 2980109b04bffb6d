import { loadLate } from './load-late';

/** Issues in words. The words are fetched after the first view, in which nothing has gone wrong yet. */
export const IssueWords = loadLate(() => import('./issue-texts').then((room) => room.IssueTexts));
