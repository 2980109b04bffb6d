export default function Loading() {
  return (
    <p role="status" className="px-6 py-10 text-soft">
      Loading…
    </p>
  );
}
