/* global document */
import { createElement } from 'react';
import { createRoot } from 'react-dom/client';

createRoot(document.getElementById('root')).render(
  createElement('p', { className: 'there' }, 'there'),
);
