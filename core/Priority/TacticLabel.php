<?php

declare(strict_types=1);

namespace GreaterReach\Core\Priority;

use GreaterReach\Core\Exception\InvalidValue;

/** A tactic as it is written: by itself, or with links to earn beside it (`improve page + links`). */
final readonly class TacticLabel implements \Stringable
{
    private const LINKS = ' + links';

    private function __construct(public Tactic $tactic, public bool $withLinks)
    {
    }

    public static function of(Tactic $tactic, bool $withLinks = false): self
    {
        return new self($tactic, $withLinks);
    }

    /** @throws InvalidValue when there is no such tactic */
    public static function parse(string $text): self
    {
        $withLinks = str_ends_with($text, self::LINKS);
        $tactic =
            Tactic::tryFrom($withLinks ? substr($text, 0, -\strlen(self::LINKS)) : $text) ??
            throw InvalidValue::because('tactic', $text, 'is unknown');

        return new self($tactic, $withLinks);
    }

    /** @return non-empty-list<string> the ways in which a tactic is written */
    public static function spellings(Tactic $tactic): array
    {
        return [(string) self::of($tactic, false), (string) self::of($tactic, true)];
    }

    public function __toString(): string
    {
        return $this->tactic->value.($this->withLinks ? self::LINKS : '');
    }
}
