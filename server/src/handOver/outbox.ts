import { mkdir, open, rename } from 'node:fs/promises';
import { join } from 'node:path';
import { createTransport } from 'nodemailer';
import type { Readable } from 'node:stream';

export interface Letter {
  readonly id: string;
  readonly from: { readonly name: string; readonly address: string };
  readonly to: string;
  readonly subject: string;
  readonly text: string;
  readonly pdf: { readonly name: string; readonly content: Readable };
  readonly date: Date;
}

/** Writes what it is given instead of sending it. */
const composer = createTransport({ streamTransport: true, buffer: true, newline: 'windows' });

/**
 * The stand-in for a mail server: each letter becomes a file of the form in which mail travels (RFC 5322), which any mail
 * program opens. It is there whole or not at all.
 */
export async function putIntoOutbox(folder: string, letter: Letter): Promise<void> {
  const { message } = await composer.sendMail({
    from: letter.from,
    to: letter.to,
    subject: letter.subject,
    text: letter.text,
    date: letter.date,
    messageId: `<${letter.id}@white-ember.invalid>`,
    attachments: [{ filename: letter.pdf.name, content: letter.pdf.content, contentType: 'application/pdf' }],
    // What is attached comes from here only: no file of this machine, no address of another.
    disableFileAccess: true,
    disableUrlAccess: true,
  });
  await mkdir(folder, { recursive: true });
  const path = join(folder, `${letter.id}.eml`);
  const file = await open(`${path}.part`, 'w');
  try {
    await file.writeFile(message as Buffer);
    await file.sync();
  } finally {
    await file.close();
  }
  await rename(`${path}.part`, path);
}
