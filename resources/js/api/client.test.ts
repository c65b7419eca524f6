import { describe, expect, it } from 'vitest';
import { address, ApiError, spellQuery, told } from './client';

describe('questions to the server', () => {
  it('leave out what is unknown or empty', () => {
    expect(spellQuery({ show: '', cursor: null, weights: undefined, limit: 0, further: false, by: 'topic' })).toBe(
      'limit=0&further=0&by=topic',
    );
  });

  it('spell what a sentence can hold', () => {
    expect(address('studies/bees/bench', { show: 'text=bee hive -wooden;regex=^how (do|to)' })).toBe(
      '/api/v1/studies/bees/bench?show=text%3Dbee+hive+-wooden%3Bregex%3D%5Ehow+%28do%7Cto%29',
    );
    expect(address('studies/bees')).toBe('/api/v1/studies/bees');
  });
});

describe('refusals', () => {
  it('say what the server said, with its code and its fields', () => {
    const error = new ApiError(422, { detail: 'Line 2 is bad.', code: 'refused', errors: { file: ['Line 2 is bad.'] } });
    expect([error.message, error.fields, error.problem.code]).toEqual(['Line 2 is bad.', { file: ['Line 2 is bad.'] }, 'refused']);
  });

  it('say at least the number where the server said nothing', () => {
    expect(new ApiError(502, {}).message).toBe('The server answered 502.');
  });
});

describe('told', () => {
  it('gives what was answered, and nothing for something', async () => {
    const response = new Response();
    await expect(told(Promise.resolve({ data: [1], response }))).resolves.toEqual([1]);
    await expect(told(Promise.resolve({ response }))).rejects.toThrow('empty answer');
  });
});
