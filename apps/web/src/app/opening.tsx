/** While the first screen is on its way. */
export function Opening() {
  return (
    <main className="message">
      <p role="status">Opening …</p>
    </main>
  );
}
