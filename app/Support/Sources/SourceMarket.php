<?php

declare(strict_types=1);

namespace App\Support\Sources;

use App\Models\Study;

/** The market that a source is asked about. */
final readonly class SourceMarket
{
    public function __construct(public string $country, public string $language, public string $device)
    {
    }

    public static function of(Study $study): self
    {
        return new self($study->country, $study->language, $study->device);
    }

    /** @return array{country: string, language: string, device: string} */
    public function toQuery(): array
    {
        return ['country' => $this->country, 'language' => $this->language, 'device' => $this->device];
    }
}
