<?php

declare(strict_types=1);

namespace GreaterReach\Core\Findings;

/** One thing that stands out in a study: what, how much, and where to go on. */
final readonly class Finding implements \JsonSerializable
{
    /**
     * @param string                        $code    that a client can match
     * @param array<string, int|float|null> $numbers that the words tell, by name
     * @param string                        $words   a sentence or two for a person
     * @param string                        $next    what to do about it
     * @param Stage                         $stage   where that is done
     * @param ?string                       $show    the sentence that shows just the rows it counts; null where it counts none
     * @param ?float                        $worth   visits a month; null where they are unknown, and for what the data lack
     */
    public function __construct(
        public string $code,
        public array $numbers,
        public string $words,
        public string $next,
        public Stage $stage,
        public ?string $show,
        public ?float $worth,
    ) {
    }

    /** Whether it is about the data: then it counts no rows, and is mended in Gather. */
    public function isLack(): bool
    {
        return $this->worth === null && $this->show === null;
    }

    /** @param list<string> $keywords that matter most among its rows */
    public function naming(array $keywords): self
    {
        return $keywords === []
            ? $this
            : new self(
                $this->code,
                $this->numbers,
                $this->words.' '.Words::first($keywords),
                $this->next,
                $this->stage,
                $this->show,
                $this->worth,
            );
    }

    /** @return array{code: string, worth: ?float, words: string, next: string, stage: string, show: ?string, numbers: object} */
    public function jsonSerialize(): array
    {
        return [
            'code' => $this->code,
            'worth' => $this->worth,
            'words' => $this->words,
            'next' => $this->next,
            'stage' => $this->stage->value,
            'show' => $this->show,
            'numbers' => (object) $this->numbers,
        ];
    }

    /**
     * @param array{code: string, worth: int|float|null, words: string, next: string, stage: string, show: ?string,
     *     numbers: array<string, int|float|null>} $kept as JSON keeps it
     */
    public static function fromArray(array $kept): self
    {
        return new self(
            $kept['code'],
            $kept['numbers'],
            $kept['words'],
            $kept['next'],
            Stage::from($kept['stage']),
            $kept['show'],
            $kept['worth'] === null ? null : (float) $kept['worth'],
        );
    }
}
