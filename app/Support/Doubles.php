<?php

declare(strict_types=1);

namespace App\Support;

/** Floats as one word of a text file, without loss and quicker than as decimals: eight bytes each, little-endian, in hexadecimal. */
final class Doubles
{
    /** @param non-empty-list<?float> $values null is written as NaN */
    public static function toHex(array $values): string
    {
        return bin2hex(pack('e*', ...array_map(static fn(?float $value): float => $value ?? NAN, $values)));
    }

    /**
     * @return list<?float>
     *
     * @throws \UnexpectedValueException when the text is not what toHex() made
     */
    public static function fromHex(string $hex): array
    {
        $values = unpack('e*', (string) hex2bin($hex)) ?: throw new \UnexpectedValueException('These are no floats in hexadecimal.');
        /** @var list<float> $values */
        $values = array_values($values);

        return array_map(static fn(float $value): ?float => is_nan($value) ? null : $value, $values);
    }
}
