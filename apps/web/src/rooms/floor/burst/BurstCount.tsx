/** What is seen while it runs: one large number, and the whole screen to tap on. */
export function BurstCount({
  name,
  what,
  count,
  told,
  onTap,
}: {
  name: string;
  what: string;
  count: number;
  /** What to do now. */
  told: string;
  onTap: () => void;
}) {
  return (
    <button
      type="button"
      onPointerDown={onTap}
      className="board flex flex-1 flex-col items-center justify-center"
    >
      <span className="text-5xl">{name}</span>
      <span className="text-3xl text-quiet">{what}</span>
      <span className="text-[17rem] leading-none phone:text-[min(17rem,45vh)]" data-testid="burst-count">
        {count}
      </span>
      <span className="text-3xl text-quiet">{told}</span>
    </button>
  );
}
