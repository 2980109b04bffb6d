'use client';

import { Dialog } from 'radix-ui';
import { useState, type RefObject } from 'react';
import { createPortal, flushSync } from 'react-dom';
import { Download, Printer } from 'lucide-react';
import { PAPERS, type Look, type Page, type SheetOf } from '@/core/print';
import { Button, Trouble } from '../base';
import { CodeAddress } from './code-address';
import { keepLook, readLook } from './look-kept';
import { PageView } from './page-view';
import { usePaperSpeech } from './use-paper-speech';
import { useSheet } from './use-sheet';

type Row = Exclude<keyof Look, 'paper'>;

/** What can be chosen for a sheet, by what stands on it. */
const ON_STAFF: readonly Row[] = ['count', 'sticking', 'motions'];
const ROWS: Readonly<Record<SheetOf['kind'], readonly Row[]>> = {
  line: ['large'],
  exercises: [...ON_STAFF, 'large'],
  program: [...ON_STAFF, 'ladder', 'large'],
  week: [...ON_STAFF, 'ladder', 'large'],
  class: [...ON_STAFF, 'ladder', 'large'],
};

/** A sheet as it will be printed, page by page; printed, or taken as a file. */
export function SheetView({
  what,
  name,
  backTo,
  onClose,
}: {
  what: SheetOf;
  name: string;
  /** What has the focus again once it is closed. */
  backTo: RefObject<HTMLElement | null>;
  onClose: () => void;
}) {
  const say = usePaperSpeech();
  const [look, setLook] = useState(readLook);
  const { made, address, make, stopMaking, file, stopFile, download } = useSheet(what, look);
  const [printing, setPrinting] = useState(false);
  const change = (changed: Partial<Look>) => {
    const next = { ...look, ...changed };
    keepLook(next);
    setLook(next);
  };
  const words = {
    count: say.t('sheet.view.countRow'),
    sticking: say.t('sheet.view.stickingRow'),
    motions: say.t('sheet.view.motions'),
    ladder: say.t('sheet.view.ladderBoxes'),
    large: say.t('sheet.view.large'),
  };
  function print() {
    flushSync(() => setPrinting(true));
    window.print();
    setPrinting(false);
  }
  const { pages, done, of, making, issues } = made;
  const wholly = !making && pages.length > 0 && (of === null || done === of);
  return (
    <Dialog.Root open onOpenChange={(open) => !open && onClose()}>
      <Dialog.Portal>
        <Dialog.Overlay className="fixed inset-0 z-30 bg-ink/40" />
        <Dialog.Content
          aria-describedby={undefined}
          onCloseAutoFocus={(event) => {
            event.preventDefault();
            backTo.current?.focus();
          }}
          className="fixed inset-2 z-40 flex flex-col rounded-sm border border-line bg-paper shadow-lg sm:inset-6"
        >
          <header className="flex flex-wrap items-center gap-x-4 gap-y-2 border-b border-line px-4 py-3">
            <Dialog.Title className="font-serif text-xl">
              {say.t('sheet.view.sheetOf', { name })}
            </Dialog.Title>
            <span role="group" aria-label={say.t('sheet.view.paperSize')} className="flex">
              {(['a4', 'letter'] as const).map((paper) => (
                <Button
                  key={paper}
                  aria-pressed={look.paper === paper}
                  onClick={() => change({ paper })}
                >
                  {say.t(`sheet.view.${paper}`)}
                </Button>
              ))}
            </span>
            {ROWS[what.kind].map((row) => (
              <label key={row} className="flex items-center gap-1.5">
                <input
                  type="checkbox"
                  checked={look[row]}
                  onChange={(event) => change({ [row]: event.target.checked })}
                />
                {words[row]}
              </label>
            ))}
            {address !== undefined && what.kind !== 'line' && (
              <CodeAddress address={address} onSet={() => void make()} />
            )}
            <span className="ml-auto flex items-center gap-2">
              {wholly && (
                <Button onClick={print}>
                  <Printer size={14} aria-hidden /> {say.t('sheet.view.print')}
                </Button>
              )}
              {file ? (
                <Button onClick={stopFile}>
                  {say.t('sheet.view.stop')}{' '}
                  {file.of !== null &&
                    say.t('sheet.view.sheetsDone', { done: file.done, of: file.of })}
                </Button>
              ) : (
                <Button look="main" onClick={() => void download(name)}>
                  <Download size={14} aria-hidden /> {say.t('sheet.view.downloadPdf')}
                </Button>
              )}
              <Dialog.Close asChild>
                <Button look="quiet">{say.t('sheet.view.close')}</Button>
              </Dialog.Close>
            </span>
          </header>
          <p role="status" className="flex min-h-10 items-center gap-3 px-4 text-sm text-soft">
            {say.t('sheet.view.pages', { pages: pages.length })}
            {of !== null && of > 1 && (
              <>
                <span>
                  {making || done === of
                    ? say.t('sheet.view.sheetsDone', { done, of })
                    : say.t('sheet.view.stoppedAt', { done, of })}
                </span>
                {making && <Button onClick={stopMaking}>{say.t('sheet.view.stop')}</Button>}
                {!making && done < of && (
                  <Button onClick={() => void make()}>{say.t('sheet.view.goOnMaking')}</Button>
                )}
              </>
            )}
          </p>
          <Trouble issues={issues} />
          <div className="flex min-h-0 flex-1 flex-wrap content-start justify-center gap-4 overflow-y-auto px-4 pb-4">
            {pages.map((page, index) => (
              <div
                key={index}
                className="w-[min(100%,46rem)] border border-line shadow-sm [contain-intrinsic-size:auto_60rem] [content-visibility:auto]"
              >
                <PageView page={page} label={say.t('sheet.view.pageNth', { page: index + 1 })} />
              </div>
            ))}
          </div>
        </Dialog.Content>
      </Dialog.Portal>
      {printing && <Printed pages={pages} />}
    </Dialog.Root>
  );
}

/** What the printer gets: the pages and nothing else. */
function Printed({ pages }: { pages: readonly Page[] }) {
  return createPortal(
    <div data-printed={pages[0]?.paper}>
      {pages.map((page, index) => (
        <div
          key={index}
          className="break-after-page"
          style={{ width: `${PAPERS[page.paper][0]}pt` }}
        >
          <PageView page={page} label="" />
        </div>
      ))}
    </div>,
    document.body,
  );
}
