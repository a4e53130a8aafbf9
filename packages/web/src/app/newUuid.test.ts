import { idSchema } from '@mendrel/contract';
import { newUuid } from './newUuid';

test('an id is a UUID of version 4, as the server asks for, and no two are the same', () => {
  const ids = Array.from({ length: 500 }, newUuid);
  for (const id of ids) expect(idSchema.safeParse(id).success).toBe(true);
  for (const id of ids) expect(id[14]).toBe('4');
  expect(new Set(ids).size).toBe(ids.length);
});
