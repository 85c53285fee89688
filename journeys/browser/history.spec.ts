import { expect, test } from '../fixtures';
