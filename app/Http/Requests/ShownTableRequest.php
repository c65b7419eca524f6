<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Support\Tabular\Table;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\Validator;

/**
 * A table that someone sees, to be written to a file.
 *
 * @phpstan-type Body array{title?: ?string, name: string, headings: list<string>, rows: list<list<string|int|float|null>>}
 */
final class ShownTableRequest extends FormRequest
{
    private const MOST_ROWS = 20_000;
    private const MOST_COLUMNS = 100;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'title' => ['sometimes', 'nullable', 'string', 'max:2000'],
            'name' => ['required', 'string', 'max:40', 'regex:/^[a-z0-9-]+$/D'],
            'headings' => ['required', 'list', 'min:1', 'max:'.self::MOST_COLUMNS],
            'headings.*' => ['string', 'max:200'],
            'rows' => ['present', 'list', 'max:'.self::MOST_ROWS],
        ];
    }

    /** @return list<\Closure(Validator): void> */
    public function after(): array
    {
        return [function (Validator $validator): void {
            if ($validator->errors()->isEmpty() && ! $this->isTable()) {
                $validator->errors()->add('rows', 'A cell is neither text nor a number nor empty.');
            }
        }];
    }

    public function table(): Table
    {
        /** @var Body $body */
        $body = $this->validated();

        return new Table($body['headings'], $body['rows'], $body['title'] ?? null);
    }

    /** What the file is called, without its ending. */
    public function name(): string
    {
        return $this->string('name')->value();
    }

    private function isTable(): bool
    {
        /** @var array{headings: list<string>, rows: list<mixed>} $body */
        $body = $this->only(['headings', 'rows']);
        foreach ($body['rows'] as $row) {
            if (! \is_array($row) || ! array_is_list($row) || \count($row) !== \count($body['headings'])) {
                return false;
            }
            foreach ($row as $cell) {
                if ($cell !== null && ! \is_string($cell) && ! \is_int($cell) && ! \is_float($cell)) {
                    return false;
                }
            }
        }

        return true;
    }
}
