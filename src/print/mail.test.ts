/** Files of e-mail: for one address each, with what is attached, and never with more headers than they were given. */
import { mailFile, type Mail } from './mail';

const MAIL: Mail = {
  from: { name: 'Hesper Dunnock', address: 'hesper@tidewell.example' },
  to: 'bea@harbour.example',
  subject: 'Grüße: fünf Grautöne',
  text: 'Stir it longer.',
  attachments: [],
};
const headersOf = (mail: Buffer) => mail.toString('latin1').split('\r\n\r\n')[0] ?? '';

test('a subject of any letters goes through, and the file says that it was not sent yet', async () => {
  const mail = await mailFile(MAIL);
  expect(headersOf(mail)).toMatch(/^X-Unsent: 1$/m);
  expect(headersOf(mail)).toMatch(/^To: bea@harbour\.example$/m);
  expect(headersOf(mail)).toMatch(/^Subject: =\?UTF-8\?/m);
});

test('nobody comes in by a line that was smuggled into a subject or a name', async () => {
  const mail = await mailFile({
    ...MAIL,
    subject: 'Five greys\r\nBcc: everybody@elsewhere.example',
    from: { ...MAIL.from, name: 'Hesper\r\nCc: everybody@elsewhere.example' },
  });
  expect(headersOf(mail)).not.toMatch(/^(Bcc|Cc):/im);
});

test('what is attached is there byte for byte', async () => {
  const content = Buffer.from([0, 1, 2, 250, 13, 10, 46, 13, 10]);
  const mail = await mailFile({
    ...MAIL,
    attachments: [{ filename: 'letter.pdf', content, contentType: 'application/pdf' }],
  });
  expect(mail.toString('latin1')).toContain(content.toString('base64'));
  expect(mail.toString('latin1')).toContain('filename=letter.pdf');
});
