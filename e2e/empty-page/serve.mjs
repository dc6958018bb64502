import express from 'express';
import { webPages } from '../../apps/server/dist/web/web-pages.js';

/** Serves a built page in the way in which the application is served: serve.mjs FOLDER PORT. */
const [folder, port] = process.argv.slice(2);
const app = express();
app.use((_, response, next) => {
  response.locals.nonce = '';
  next();
});
app.use(...webPages(folder));
app.listen(Number(port), '127.0.0.1', () => console.log('ready'));
