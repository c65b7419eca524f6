<?php

declare(strict_types=1);

namespace GreaterReach\Core\Explanation;

/** One number that went into a figure. */
final readonly class Input implements \JsonSerializable
{
    public function __construct(
        public string $name,
        public int|float|string|null $value,
        public string $unit = '',
        /** Where it came from and when, in words. */
        public string $source = '',
    ) {
    }

    /** @return array{name: string, value: int|float|string|null, unit: string, source: string} */
    public function jsonSerialize(): array
    {
        return ['name' => $this->name, 'value' => $this->value, 'unit' => $this->unit, 'source' => $this->source];
    }
}
