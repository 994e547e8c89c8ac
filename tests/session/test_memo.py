"""What is kept while the very same values are asked for."""

import threading

import numpy as np
import pytest

from chronotome.session import memo
from chronotome.session.memo import by_identity


def counted(size):
    asked = []

    @by_identity(size)
    def total(values, times=1):
        asked.append(values)
        return float(np.sum(values)) * times

    return total, asked


def test_the_same_object_is_summed_once_and_an_equal_one_again():
    total, asked = counted(4)
    one, other = np.arange(4.0), np.arange(4.0)

    assert [total(one), total(one), total(other)] == [6.0, 6.0, 6.0]
    assert len(asked) == 2


def test_only_the_last_are_kept_and_their_ids_are_not_used_again():
    total, asked = counted(2)
    kept = [np.arange(4.0) + place for place in range(3)]
    for each in kept:
        total(each)

    total(kept[2])
    total(kept[1])
    assert len(asked) == 3
    total(kept[0])
    assert len(asked) == 4
    for place in range(50):  # each is thrown away at once: its place in memory is taken by the next
        assert total(np.full(3, float(place))) == 3 * place


def test_of_large_results_only_as_many_are_kept_as_there_is_room_for(monkeypatch):
    monkeypatch.setattr(memo, "MOST_BYTES", 5000)
    monkeypatch.setattr(memo, "LEAST_RESULTS", 2)
    asked = []

    @by_identity(100)
    def filled(length):
        asked.append(length)
        return (np.zeros(length), None)

    for lengths, again in (([1, 2, 3, 4], 0), ([200, 201, 202, 203], 4)):
        asked.clear()
        for length in (*lengths, *lengths):
            filled(length)
        assert len(asked) == 4 + again


def test_all_functions_together_keep_only_so_much(monkeypatch):
    monkeypatch.setattr(memo, "LEAST_RESULTS", 1)
    held = memo._Remembered.total
    one, other = (by_identity(100)(lambda _key, length=length: np.zeros(length)) for length in (500, 500))
    keys = [object() for _ in range(6)]
    for key in keys[:3]:
        one(key)
    assert memo._Remembered.total - held == pytest.approx(12_000, abs=1000)

    monkeypatch.setattr(memo, "ALL_BYTES", held + 13_000)
    for key in keys:
        other(key)

    assert (
        memo._Remembered.total - held <= 16_500
    )  # three of the one, one of the other: the newest always stays


def test_every_argument_counts():
    total, asked = counted(8)
    values, twice, thrice = np.arange(4.0), 2, 3

    assert total(values, twice) == 12
    assert total(values, times=thrice) == 18
    assert total(values) == 6
    assert len(asked) == 3


def test_two_threads_that_ask_for_the_same_at_once_are_given_one_result():
    both = threading.Barrier(2, timeout=10)

    @by_identity(4)
    def made(_value):
        both.wait()
        return object()

    value, found = object(), []
    threads = [threading.Thread(target=lambda: found.append(made(value))) for _ in range(2)]
    for each in threads:
        each.start()
    for each in threads:
        each.join()

    assert found[0] is found[1]
