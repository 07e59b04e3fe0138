/** Where a file is chosen; what is done with it is the caller's. */
export function FileField({
  label,
  accept,
  onFile,
}: {
  label: string;
  accept: string;
  onFile: (file: File) => void;
}) {
  return (
    <input
      type="file"
      accept={accept}
      aria-label={label}
      className="w-full text-small file:mr-3 file:rounded-corner file:border file:border-solid file:border-ink file:bg-sheet file:px-3 file:py-1 file:font-semibold"
      onChange={(e) => {
        const file = e.target.files?.[0];
        file && onFile(file);
      }}
    />
  );
}
