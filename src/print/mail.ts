/** E-mail as a file (RFC 5322): made here, sent by nobody until somebody opens it in their own mail program. */
import nodemailer from 'nodemailer';

export interface Mail {
  readonly from: { readonly name: string; readonly address: string };
  readonly to: string;
  readonly subject: string;
  readonly text: string;
  readonly attachments: readonly {
    readonly filename: string;
    readonly content: Buffer;
    readonly contentType: string;
  }[];
}

/** It writes and never sends. */
const writer = nodemailer.createTransport({ streamTransport: true, buffer: true, newline: 'windows' });

/** The bytes of an .eml file, marked as one that was not sent yet. */
export async function mailFile({ attachments, ...mail }: Mail): Promise<Buffer> {
  const { message } = await writer.sendMail({
    ...mail,
    attachments: [...attachments],
    headers: { 'X-Unsent': '1' },
    // What is attached is handed over as bytes: nothing is fetched or opened for it.
    disableFileAccess: true,
    disableUrlAccess: true,
  });
  return Buffer.isBuffer(message) ? message : Buffer.from(await new Response(message as never).arrayBuffer());
}
