<?php

declare(strict_types=1);

namespace GreaterReach\Core\Winning;

/** One thing that speaks for or against winning a keyword: a code, its numbers, and a sentence with them in it. */
final readonly class EvidenceFact implements \JsonSerializable
{
    /**
     * @param array<string, int|float|string> $numbers
     * @param float                           $strength how much it says, 0…1; orders facts and enters no figure
     */
    public function __construct(
        public string $code,
        public array $numbers,
        public bool $isEncouraging,
        public string $sentence,
        public float $strength = 0.0,
    ) {
    }

    /** @return array{code: string, numbers: array<string, int|float|string>, encouraging: bool, sentence: string} */
    public function jsonSerialize(): array
    {
        return ['code' => $this->code, 'numbers' => $this->numbers, 'encouraging' => $this->isEncouraging, 'sentence' => $this->sentence];
    }
}
