/** The packages that every screen needs; named here so that they can be made ready before anything that uses them. */
import 'react';
import 'react-dom/client';
import 'react-router';
import 'zustand';
