<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Actions\Exports\ListView;
use App\Support\Rows\LongList;
use App\Support\Sentence\Sentence;
use GreaterReach\Core\Priority\Weights;
use Illuminate\Foundation\Http\FormRequest;

/** A list as it stands on the screen, to be written to a file. */
final class ShownListRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'list' => ['required', LongList::rule()],
            'columns' => ['required', 'string', 'max:4000'],
            'sort' => ['sometimes', 'string'],
            'dir' => ['sometimes', 'in:asc,desc'],
            'title' => ['sometimes', 'string', 'max:2000'],
        ];
    }

    public function shown(Weights $weights): ListView
    {
        return new ListView(
            LongList::from($this->string('list')->value()),
            Sentence::parse($this->string('show')->value()),
            $weights,
            $this->filled('sort') ? $this->string('sort')->value() : null,
            $this->string('dir')->value() !== 'asc',
            array_values(array_filter(explode(',', $this->string('columns')->value()), static fn(string $name): bool => $name !== '')),
        );
    }

    /** The line above the headings; null where none is wanted. */
    public function title(): ?string
    {
        return $this->filled('title') ? $this->string('title')->value() : null;
    }
}
