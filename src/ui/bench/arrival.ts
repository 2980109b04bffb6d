export { readLink } from '@/core/recipe';
