import * as wording from '@white-ember/core/words/screens/readings';
import { useRef, useState, type DragEvent } from 'react';
import { Button } from '../../../ui/Button.tsx';

/** Takes recorded files, several at once, by drop or by choice. */
export function LogDropZone({
  onFiles,
  tight = false,
}: {
  onFiles: (files: readonly File[]) => void;
  tight?: boolean;
}) {
  const [over, setOver] = useState(false);
  const input = useRef<HTMLInputElement>(null);
  const drop = (event: DragEvent): void => {
    event.preventDefault();
    setOver(false);
    onFiles([...event.dataTransfer.files]);
  };
  return (
    <div
      className={`border-2 border-dashed border-ink flex flex-wrap items-center gap-x-4 gap-y-2 ${tight ? 'p-3' : 'p-5'} ${over ? 'bg-card' : ''}`}
      onDragOver={(event) => {
        event.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={drop}
    >
      <Button onClick={() => input.current?.click()}>{wording.chooseRecordedLogs}</Button>
      <p className={`text-ink2 grow ${tight ? 'text-sm basis-40' : 'basis-52'}`}>
        {wording.orDropThemHereCsvOrText}
      </p>
      <input
        ref={input}
        type="file"
        multiple
        className="sr-only"
        tabIndex={-1}
        aria-label={wording.recordedLogFiles}
        onChange={(event) => {
          onFiles([...(event.target.files ?? [])]);
          event.target.value = '';
        }}
      />
    </div>
  );
}
