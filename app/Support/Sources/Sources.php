<?php

declare(strict_types=1);

namespace App\Support\Sources;

use Illuminate\Contracts\Container\Container;

/** The data providers that are connected, by name. */
final readonly class Sources
{
    /** @param array<string, array{class: class-string<RankingSource>, url: ?string, key: ?string}> $configured */
    public function __construct(private Container $container, private array $configured)
    {
    }

    /** @return list<string> of those that are connected */
    public function names(): array
    {
        return array_keys(
            array_filter($this->configured, static fn(array $source): bool => $source['url'] !== null && $source['key'] !== null),
        );
    }

    /** @throws SourceProblem */
    public function get(string $name): RankingSource
    {
        $source = $this->configured[$name] ?? throw SourceProblem::unknown($name, implode(', ', array_keys($this->configured)));
        if ($source['url'] === null || $source['key'] === null) {
            throw SourceProblem::notConnected($name);
        }

        $made = $this->container->make($source['class'], ['url' => $source['url'], 'key' => $source['key']]);

        return $made instanceof RankingSource ? $made : throw new \LogicException("{$source['class']} is no source of rankings.");
    }
}
