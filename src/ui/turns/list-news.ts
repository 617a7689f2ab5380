interface Listed {
  readonly id: string;
  readonly name: string;
  readonly number: string;
}

const nameOf = ({ name, number }: Listed): string => name || number;

const several = (files: readonly Listed[], one: string, many: string): readonly string[] => {
  const [only] = files;
  if (!only) return [];
  return [files.length === 1 ? `${nameOf(only)} ${one}` : `${files.length} files ${many}`];
};

/** What has become of a list meanwhile, in one sentence; null where the same files stand there, in whatever order. */
export function listNews(before: readonly Listed[], after: readonly Listed[]): string | null {
  const came = after.filter((a) => !before.some((b) => b.id === a.id));
  const went = before.filter((b) => !after.some((a) => a.id === b.id));
  const parts = [...several(came, "came", "came"), ...several(went, "went", "went")];
  return parts.length === 0 ? null : `The list has changed: ${parts.join(", ")}.`;
}
