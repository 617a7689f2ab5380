/** Stands in the frame while a slow page is put together; quick ones come before it is seen. */
export function LoadingSheet({ className, text }: { className: string; text: string }) {
  return (
    <div className={`${className} loading-sheet`} role="status" aria-busy="true">
      <p className="quiet">{text}</p>
    </div>
  );
}
