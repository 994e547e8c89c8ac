"""The same for many files, from the window: by the settings of the track that is worked on."""

import pytest
from PySide6.QtCore import QMimeData, QPointF, Qt, QUrl
from PySide6.QtGui import QDropEvent, QGuiApplication
from PySide6.QtWidgets import QFileDialog

from chronotome.files.batch import Doing, read_recipe
from sounds import steady_hits, write


@pytest.fixture
def batch(at_work, tmp_path):
    folder = tmp_path / "more takes"
    folder.mkdir()
    for number in range(3):
        write(folder / f"take {number}.wav", steady_hits(120.0, 12, spread=0.01, seed=number).audio.samples)
    at_work.window.actions_table.run("batch")
    at_work.folder = folder
    at_work.dialog = at_work.window.beside.batch
    return at_work


def rows(dialog):
    return [dialog.list.topLevelItem(row).text(1) for row in range(dialog.list.topLevelItemCount())]


def drop(dialog, *paths):
    data = QMimeData()
    data.setUrls([QUrl.fromLocalFile(str(path)) for path in paths])
    copy, button, keys = Qt.DropAction.CopyAction, Qt.MouseButton.LeftButton, Qt.KeyboardModifier.NoModifier
    dialog.dropEvent(QDropEvent(QPointF(30, 30), copy, data, button, keys))


def test_files_are_tightened_as_the_track_is_and_what_fails_is_told(batch, tmp_path):
    dialog = batch.dialog
    assert "50 % to 1/8" in dialog.about.text()
    assert not dialog.go.isEnabled()
    (batch.folder / "take 1.wav").write_bytes(b"")
    drop(dialog, batch.folder)
    drop(dialog, batch.folder / "take 0.wav")
    assert rows(dialog) == ["waiting"] * 3
    dialog.write_into(tmp_path / "out")
    dialog.tempo.choose(1)
    dialog.go.click()
    batch.wait(lambda: not dialog._batching.is_running)

    assert [words.split(" ")[0] for words in rows(dialog)] == ["24", "failed:", "24"]
    assert "2 done, 1 failed, 3 in all" in dialog.told.text()
    assert sorted(each.name for each in (tmp_path / "out").iterdir()) == ["take 0.wav", "take 2.wav"]
    dialog.copy.click()
    assert QGuiApplication.clipboard().text().count("\n") == 3


def test_cancelled_the_rest_is_not_done_and_the_window_works_on(batch, tmp_path):
    dialog = batch.dialog
    dialog.add([batch.folder])
    dialog.write_into(tmp_path / "out")
    dialog.go.click()
    assert dialog.go.text() == "Cancel"
    dialog.add([tmp_path])
    dialog.go.click()
    batch.wait(lambda: not dialog._batching.is_running)
    assert rows(dialog)[-1] == "skipped: cancelled"
    assert dialog.go.text() == "Start"
    assert len(dialog.paths) == 3


def test_a_recipe_is_what_is_chosen_and_what_cannot_be_named_is_not_begun(batch, tmp_path, monkeypatch):
    dialog = batch.dialog
    dialog.add([batch.folder])
    dialog.write_into(tmp_path / "out")
    dialog.do.choose(2)
    dialog.names.setText("{nothing}")
    dialog.names.textEdited.emit("")
    assert "{nothing} is unknown" in dialog.about.text()
    assert not dialog.go.isEnabled()
    dialog.names.setText("{name} {number}")
    dialog.names.textEdited.emit("")
    dialog.cuts.setCurrentIndex(2)
    monkeypatch.setattr(QFileDialog, "getSaveFileName", lambda *_: (str(tmp_path / "chop"), ""))
    dialog._ask_recipe()
    recipe = read_recipe(tmp_path / "chop.recipe.json")
    assert (recipe.do, recipe.step, recipe.names, recipe.bpm) == (Doing.SPLIT, 0.5, "{name} {number}", None)
    dialog.list.setCurrentItem(dialog.list.topLevelItem(1))
    dialog.remove.click()
    assert [path.name for path in dialog.paths] == ["take 0.wav", "take 2.wav"]
