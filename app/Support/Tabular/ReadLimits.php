<?php

declare(strict_types=1);

namespace App\Support\Tabular;

use GreaterReach\Core\Intake\FileProblem;

/** How much a file that someone made elsewhere may hold, so that a small upload cannot fill disk or memory. */
final readonly class ReadLimits
{
    /** No list that people make packs better than this; one that does and is large is a trap. */
    private const LIKELY_RATIO = 200;
    private const HARMLESS = 100 << 20;

    public function __construct(
        /** Bytes of one row. */
        public int $record,
        /** Bytes of a packed file once it is unpacked. */
        public int $unpacked,
    ) {
    }

    /** @throws FileProblem when so many bytes out of so few packed ones are too many */
    public function allowUnpacked(int $bytes, int $packed): void
    {
        $limit = min($this->unpacked, max(self::HARMLESS, self::LIKELY_RATIO * $packed));
        if ($bytes > $limit) {
            throw FileProblem::unpacksTooLarge($limit);
        }
    }
}
