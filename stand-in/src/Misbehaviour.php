<?php

declare(strict_types=1);

namespace StandIn;

/**
 * What the service was told to do wrong on its next requests: `slow`, `429` or `429 <seconds to wait>`, `500`, `cut`, or `ok` to behave
 * once.
 */
final readonly class Misbehaviour
{
    private const KNOWN = '/^(?:slow|429(?: [1-9]\d{0,4})?|500|cut|ok)$/D';

    public function __construct(private string $path)
    {
    }

    /** @param list<string> $plan */
    public function plan(array $plan): void
    {
        file_put_contents($this->path, implode("\n", $plan), LOCK_EX);
    }

    /**
     * @param list<string> $plan
     *
     * @return list<string> what of it is known here
     */
    public static function known(array $plan): array
    {
        return array_values(array_filter($plan, static fn(string $step): bool => preg_match(self::KNOWN, $step) === 1));
    }

    public function next(): string
    {
        $plan = is_file($this->path) ? explode("\n", (string) file_get_contents($this->path)) : [];
        $next = array_shift($plan) ?? 'ok';
        if ($next !== '') {
            $this->plan($plan);
        }

        return $next === '' ? 'ok' : $next;
    }
}
