/** A sticking that ships. `subdivision` is what its slots are usually played in. */
export interface ShippedSticking {
  readonly name: string;
  readonly trains: string;
  readonly sticking: string;
  readonly slot: '8' | '8t' | '16' | '16t' | '32';
}

function of(
  name: string,
  trains: string,
  sticking: string,
  slot: ShippedSticking['slot'] = '16',
): ShippedSticking {
  return { name, trains, sticking, slot };
}

/** Stickings that ship, by id: the 40 international drum rudiments (Percussive Arts Society, written
 * from memory; f flam, d drag, i diddle, z buzz, > accent), then cells of common practice. */
export const SHIPPED_STICKINGS: Readonly<Record<string, ShippedSticking>> = {
  'rudiment-1': of('single stroke roll', 'rolls', 'RLRL RLRL'),
  'rudiment-2': of('single stroke four', 'rolls', 'RLRL-- LRLR--', '16t'),
  'rudiment-3': of('single stroke seven', 'rolls', 'RLRLRL R-----', '16t'),
  'rudiment-4': of('multiple bounce roll', 'rolls', 'zRzLzRzL'),
  'rudiment-5': of('triple stroke roll', 'rolls', 'RRR LLL', '8t'),
  'rudiment-6': of('double stroke open roll', 'rolls', 'RRLL RRLL'),
  'rudiment-7': of('five stroke roll', 'rolls', 'RRLL>R--- LLRR>L---', '32'),
  'rudiment-8': of('six stroke roll', 'rolls', '>R-LLRR>L-', '32'),
  'rudiment-9': of('seven stroke roll', 'rolls', 'RRLLRR>L-', '32'),
  'rudiment-10': of('nine stroke roll', 'rolls', 'RRLLRRLL >R------- LLRRLLRR >L-------', '32'),
  'rudiment-11': of('ten stroke roll', 'rolls', 'RRLLRRLL >R->L-----', '32'),
  'rudiment-12': of('eleven stroke roll', 'rolls', 'RRLLRRLLRR >L-----', '32'),
  'rudiment-13': of('thirteen stroke roll', 'rolls', 'RRLLRRLLRRLL >R---', '32'),
  'rudiment-14': of('fifteen stroke roll', 'rolls', 'RRLLRRLLRRLLRR >L-', '32'),
  'rudiment-15': of('seventeen stroke roll', 'rolls', 'RRLLRRLLRRLLRRLL >R---------------', '32'),
  'rudiment-16': of('single paradiddle', 'paradiddles', '>RLRR >LRLL'),
  'rudiment-17': of('double paradiddle', 'paradiddles', '>RLRLRR >LRLRLL', '8t'),
  'rudiment-18': of('triple paradiddle', 'paradiddles', '>RLRLRLRR >LRLRLRLL'),
  'rudiment-19': of('single paradiddle-diddle', 'paradiddles', '>RLRRLL >RLRRLL', '8t'),
  'rudiment-20': of('flam', 'flams', 'fR fL', '8'),
  'rudiment-21': of('flam accent', 'flams', '>fRLR >fLRL', '8t'),
  'rudiment-22': of('flam tap', 'flams', '>fRR >fLL'),
  'rudiment-23': of('flamacue', 'flams', 'fR>LRL fR---'),
  'rudiment-24': of('flam paradiddle', 'flams', '>fRLRR >fLRLL'),
  'rudiment-25': of('single flammed mill', 'flams', '>fRRLR >fLLRL'),
  'rudiment-26': of('flam paradiddle-diddle', 'flams', '>fRLRRLL >fLRLLRR', '8t'),
  'rudiment-27': of('pataflafla', 'flams', '>fRLR>fL >fRLR>fL'),
  'rudiment-28': of('Swiss army triplet', 'flams', '>fRRL >fRRL', '8t'),
  'rudiment-29': of('inverted flam tap', 'flams', '>fRL >fLR'),
  'rudiment-30': of('flam drag', 'flams', '>fRiLR >fLiRL', '8t'),
  'rudiment-31': of('drag', 'drags', 'dR dL', '8'),
  'rudiment-32': of('single drag tap', 'drags', 'dR>L dL>R', '8'),
  'rudiment-33': of('double drag tap', 'drags', 'dRdR>L dLdL>R', '8t'),
  'rudiment-34': of('lesson 25', 'drags', 'dRL>R- dRL>R-'),
  'rudiment-35': of('single dragadiddle', 'drags', '>iRLRR >iLRLL'),
  'rudiment-36': of('drag paradiddle 1', 'drags', '>R-dRLRR >L-dLRLL', '8t'),
  'rudiment-37': of('drag paradiddle 2', 'drags', '>R-dR-dRLRR >L-dL-dLRLL'),
  'rudiment-38': of('single ratamacue', 'drags', 'dRLR>L-- dLRL>R--', '16t'),
  'rudiment-39': of('double ratamacue', 'drags', 'dR--dRLR>L-- dL--dLRL>R--', '16t'),
  'rudiment-40': of('triple ratamacue', 'drags', 'dR--dR--dRLR>L-- dL--dL--dLRL>R--', '16t'),
  singles: of('singles', 'singles and doubles', 'RL'),
  doubles: of('doubles', 'singles and doubles', 'RRLL'),
  'inverted-doubles': of('inverted doubles', 'singles and doubles', 'RLLR'),
  'single-double': of('single and double', 'odd groups', 'RLL'),
  'double-single': of('double and single', 'odd groups', 'RRL'),
  'paradiddle-inward': of('paradiddle, doubles inside', 'paradiddles', 'RLLR LRRL'),
  'paradiddle-last': of('paradiddle, double across', 'paradiddles', 'RLRL LRLR'),
  'paradiddle-doubles': of('paradiddle, doubles first', 'paradiddles', 'RRLR LLRL'),
  'five-out': of('five, doubles after', 'odd groups', 'RLLRR LRRLL'),
  'five-single': of('five with one single', 'odd groups', 'RLRLL'),
  'six-note': of('six-note', 'six', 'RLLRRL', '8t'),
  'six-linear': of('six with the foot', 'linear', 'RLRLKK', '16t'),
  'linear-four': of('four, linear', 'linear', 'RLLK'),
  'linear-six': of('six, linear', 'linear', 'RLLKKL'),
  'linear-eight': of('eight, linear', 'linear', 'RLLKKLKL'),
  'linear-three': of('three, linear', 'linear', 'RLK', '8t'),
  'ruff-open': of('open ruff', 'ruffs', 'RLR>L----', '32'),
  'chain-16': of('four threes and a four', 'chains', 'RLL RLL RLL RLL RLRR'),
};
