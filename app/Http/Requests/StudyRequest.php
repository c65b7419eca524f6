<?php

declare(strict_types=1);

namespace App\Http\Requests;

use App\Actions\Studies\StudyDraft;
use App\Models\Study;
use App\Models\User;
use App\Support\Texts;
use Illuminate\Auth\AuthenticationException;
use Illuminate\Foundation\Http\FormRequest;

/** A new study, or changes to one. */
final class StudyRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'slug' => ['sometimes', 'string', 'max:63'],
            'name' => ['sometimes', 'string', 'max:200'],
            'domain' => ['sometimes', 'string', 'max:2000'],
            'competitors' => ['sometimes', 'array', 'max:10'],
            'competitors.*' => ['string', 'max:2000'],
            'country' => ['sometimes', 'string', 'size:2'],
            'language' => ['sometimes', 'string', 'size:2'],
            'device' => ['sometimes', 'string', 'in:desktop,mobile'],
            'as_of' => ['sometimes', 'nullable', 'date_format:Y-m-d'],
        ];
    }

    public function person(): User
    {
        $user = $this->user();

        return $user instanceof User ? $user : throw new AuthenticationException();
    }

    public function toDraft(?Study $study = null): StudyDraft
    {
        $text = fn(string $field): ?string => $this->has($field) ? $this->string($field)->value() : null;

        return new StudyDraft(
            $study->slug ?? $this->string('slug')->value(),
            $text('name'),
            $text('domain'),
            $this->has('competitors') ? Texts::list($this->array('competitors')) : null,
            $text('country'),
            $text('language'),
            $text('device'),
            $this->has('as_of') ? $this->string('as_of')->value() : null,
        );
    }
}
