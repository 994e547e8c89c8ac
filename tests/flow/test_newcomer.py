"""Forty things that a newcomer wants, each by mouse alone and by keys alone, in few gestures."""

from bench.newcomer import counted


def test_forty_tasks_are_done_by_mouse_and_by_keys_in_few_gestures(qtbot, tmp_path, capsys):
    rows = counted(tmp_path)
    assert [wanted for wanted, mouse, keys in rows if not mouse or not keys] == [], capsys.readouterr().err
    assert len(rows) >= 40
    assert max(mouse for _, mouse, _ in rows) <= 6
    assert max(keys for _, _, keys in rows) <= 4
    assert sum(keys for _, _, keys in rows) <= 1.7 * len(rows)
