import { expose } from 'comlink';
import { planWork } from './plan-work';

expose(planWork());
