export { Loading as default } from '@/ui/shell';
