// Builds what is out of date, as a command of its own.
import { build } from './prepare.mjs';

build();
