<?php

declare(strict_types=1);

namespace App\Actions\Comparisons;

/** Tells workers of whichever machine that there is a part to do. */
interface PartQueue
{
    /**
     * At once, though a transaction is open.
     *
     * @param string $order as PartInstructions writes it, of one part
     * @param string $key   where its files lie in the store
     */
    public function offer(string $order, string $key): void;
}
