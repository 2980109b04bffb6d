/** What stands while a page is on its way. */
export function Loading() {
  return (
    <main className="px-6 py-10 text-soft">
      <p role="status">Loading…</p>
    </main>
  );
}
