/** Judges a family of about so many members and prints the peak resident memory of doing it, in MB. */
import { familyOfSize, judge } from './family-of-size';

const count = Number(process.argv[2]);
judge(familyOfSize(count), count);
console.log(Math.round(process.resourceUsage().maxRSS / 1024));
