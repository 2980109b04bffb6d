'use client';

import { useCallback, useEffect, useRef, useState } from 'react';
import type { Issue } from '@/core/issue';
import type { Look, Page, SheetOf } from '@/core/print';
import { saveFile, toast } from '../base';
import { usePaperSpeech } from './use-paper-speech';
import { askForSheets } from './ask';

interface Made {
  readonly pages: readonly Page[];
  readonly done: number;
  /** Null until it is known. */
  readonly of: number | null;
  readonly making: boolean;
  readonly issues: readonly Issue[];
}

const NOTHING: Made = { pages: [], done: 0, of: null, making: false, issues: [] };

/** The pages of a sheet, made anew when its look changes; and its file. What is being made can be stopped. */
export function useSheet(what: SheetOf, look: Look) {
  const say = usePaperSpeech();
  const [made, setMade] = useState<Made>({ ...NOTHING, making: true });
  /** Where codes lead; undefined for whoever may not set it. */
  const [address, setAddress] = useState<string | null>();
  const [file, setFile] = useState<{ readonly done: number; readonly of: number | null } | null>(
    null,
  );
  const stops = useRef({ pages: new AbortController(), file: new AbortController() });

  const make = useCallback(async () => {
    stops.current.pages.abort();
    const stop = (stops.current.pages = new AbortController());
    setMade((before) => ({ ...before, making: true, issues: [] }));
    let pages: readonly Page[] = [];
    try {
      for await (const line of askForSheets(what, look, 'pages', stop.signal)) {
        if (stop.signal.aborted) return;
        if (line.issues) return setMade({ ...NOTHING, issues: line.issues });
        if (line.address !== undefined) {
          setAddress(line.address);
          continue;
        }
        const { done = 0, of = null } = line;
        pages = [...pages, ...(line.pages ?? [])];
        setMade({ pages, done, of, making: of === null || done < of, issues: [] });
      }
    } catch {
      if (stop.signal.aborted) return;
      toast.error(say.t('sheet.view.sheetCouldNotBeMade'));
      setMade((before) => ({ ...before, making: false }));
    }
  }, [what, look, say]);

  useEffect(() => {
    // oxlint-disable-next-line react/set-state-in-effect -- what is asked for comes from elsewhere
    void make();
    const { current } = stops;
    return () => current.pages.abort();
  }, [make]);
  useEffect(() => {
    const { current } = stops;
    return () => current.file.abort();
  }, []);

  return {
    made,
    address,
    make,
    stopMaking() {
      stops.current.pages.abort();
      setMade((before) => ({ ...before, making: false }));
    },
    file,
    stopFile() {
      stops.current.file.abort();
      setFile(null);
    },
    async download(name: string) {
      const stop = (stops.current.file = new AbortController());
      setFile({ done: 0, of: null });
      try {
        for await (const line of askForSheets(what, look, 'pdf', stop.signal)) {
          if (line.issues) setMade((before) => ({ ...before, issues: line.issues ?? [] }));
          else if (line.pdf !== undefined) save(line.pdf, name);
          else if (line.done !== undefined) setFile({ done: line.done ?? 0, of: line.of ?? null });
        }
      } catch {
        if (stop.signal.aborted) return;
        toast.error(say.t('sheet.view.sheetCouldNotBeMade'));
      }
      setFile(null);
    },
  };
}

function save(base64: string, name: string): void {
  const bytes = Uint8Array.from(atob(base64), (one) => one.charCodeAt(0));
  saveFile(new Blob([bytes], { type: 'application/pdf' }), `${name}.pdf`);
}
