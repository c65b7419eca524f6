<?php

declare(strict_types=1);

namespace StandIn;

/** What the service was told to do wrong on its next requests: `slow`, `429`, `500`, `cut`, or `ok` to behave once. */
final readonly class Misbehaviour
{
    public const KNOWN = ['slow', '429', '500', 'cut', 'ok'];

    public function __construct(private string $path)
    {
    }

    /** @param list<string> $plan */
    public function plan(array $plan): void
    {
        file_put_contents($this->path, implode("\n", $plan), LOCK_EX);
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
