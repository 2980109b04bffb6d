/** What the checks use of an engraver that has no types. */
declare module 'verovio/wasm' {
  export default function createVerovioModule(): Promise<object>;
}

declare module 'verovio/esm' {
  export class VerovioToolkit {
    constructor(module: object);
    loadData(data: string): unknown;
    getLog(): string;
    renderToTimemap(options: object): readonly {
      readonly qstamp: number;
      readonly on?: readonly string[];
    }[];
  }
}
