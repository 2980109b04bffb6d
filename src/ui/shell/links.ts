export { packLink, writeLink } from '@/core/recipe';
