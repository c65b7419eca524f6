<?php

declare(strict_types=1);

namespace StandIn;

/** What the service sends back. */
final readonly class Answer
{
    /** @param array<string, string> $headers */
    public function __construct(public int $status, public string $body, public array $headers = [])
    {
    }

    /** @param array<array-key, mixed> $value */
    public static function json(array $value, int $status = 200): self
    {
        return new self($status, json_encode($value, JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES)."\n", [
            'Content-Type' => 'application/json',
        ]);
    }

    /**
     * One object a line, a page of them at a time; the header `X-Next-Page` names the next page while there is one.
     *
     * @param list<array<string, mixed>> $rows
     */
    public static function page(array $rows, int $page, int $size): self
    {
        $lines = array_map(
            static fn(array $row): string => json_encode($row, JSON_THROW_ON_ERROR | JSON_UNESCAPED_SLASHES)."\n",
            \array_slice($rows, ($page - 1) * $size, $size),
        );
        $next = $page * $size < \count($rows) ? ['X-Next-Page' => (string) ($page + 1)] : [];

        return new self(200, implode('', $lines), ['Content-Type' => 'application/x-ndjson', ...$next]);
    }

    public static function problem(int $status, string $why): self
    {
        return new self($status, json_encode(['error' => $why], JSON_THROW_ON_ERROR)."\n", ['Content-Type' => 'application/json']);
    }
}
