"""Share what is heard: title, description, tags, who may hear it, and where."""

from collections.abc import Callable
from pathlib import Path
from typing import Protocol

from PySide6.QtCore import Qt
from PySide6.QtGui import QGuiApplication
from PySide6.QtWidgets import (
    QCheckBox,
    QFormLayout,
    QHBoxLayout,
    QLineEdit,
    QPlainTextEdit,
    QProgressBar,
    QPushButton,
    QVBoxLayout,
    QWidget,
)

from chronotome.bridge.sharing import Sharing
from chronotome.errors import ChronotomeError
from chronotome.files.audio_out import Encoding, WrittenFile
from chronotome.files.sharing import MOST_DESCRIPTION, MOST_TAGS, MOST_TITLE, UploadInfo, origin_of, place_of
from chronotome.progress import Progress
from chronotome.ui.controls.dialog import Dialog
from chronotome.ui.controls.plain_button import plain_button
from chronotome.ui.controls.plain_text import Label
from chronotome.ui.controls.segmented import Segmented
from chronotome.ui.state.ui_context import UiContext
from chronotome.words import tr

WIDTH = 520
LONGEST_TAG = 60


class Written(Protocol):
    """What is shared: as somebody set it in Export."""

    @property
    def encoding(self) -> Encoding: ...

    def writing(self, path: Path) -> Callable[[Progress], WrittenFile]: ...


class ShareDialog(Dialog):
    """Stays open beside the window while it is handed over."""

    def __init__(self, desk: UiContext, sharing: Sharing, tray: Written, parent: QWidget) -> None:
        super().__init__(parent)
        self.setWindowTitle(tr("Share"))
        self.setModal(False)
        self.setMinimumWidth(WIDTH)
        self._desk, self._sharing, self._tray = desk, sharing, tray
        layout = QVBoxLayout(self)
        layout.setSpacing(10)
        layout.addLayout(self._build_form())
        self.bar = QProgressBar()
        self.bar.setRange(0, 100)
        self.bar.setTextVisible(False)
        layout.addWidget(self.bar)
        self.told = Label()
        self.told.setWordWrap(True)
        self.told.setTextInteractionFlags(Qt.TextInteractionFlag.TextSelectableByMouse)
        self.told.setMinimumHeight(36)
        layout.addWidget(self.told)
        row = QHBoxLayout()
        self.again = plain_button(tr("Copy address"), self._copy, row)
        row.addStretch(1)
        self.go = plain_button(tr("Share"), self._on_go, row)
        self.go.setObjectName("main")
        layout.addLayout(row)
        self._address = ""
        self._key_origin = ""
        """Scheme, host and port that the key in its field was given for."""
        sharing.progressed.connect(lambda share: self.bar.setValue(round(100 * share)))
        sharing.done.connect(self._on_done)
        sharing.failed.connect(self._on_failed)
        sharing.key_found.connect(self._on_key)
        self._show()

    def _build_form(self) -> QFormLayout:
        form, settings = QFormLayout(), self._desk.preferences.settings
        self.title = QLineEdit(self._desk.document.title)
        self.title.setMaxLength(MOST_TITLE)
        self.description = QPlainTextEdit()
        self.description.setFixedHeight(72)
        self.description.setTabChangesFocus(True)
        self.tags = QLineEdit()
        self.tags.setPlaceholderText(tr("comma-separated"))
        self.who = Segmented(self._desk.view, tr("Visibility"), [tr("private"), tr("public")])
        self.what = Label()
        self.what.setObjectName("soft")
        self.place = QLineEdit(settings.share_place)
        self.place.setPlaceholderText("https://…")
        self.place.editingFinished.connect(self._look_for_key)
        self.key = QLineEdit()
        self.key.setEchoMode(QLineEdit.EchoMode.Password)
        self.key.textEdited.connect(lambda _text: self._key_is_for(self.place.text()))
        self.keeps = QCheckBox(tr("Store key in the system keyring"))
        self.keeps.setChecked(True)
        practice = QPushButton(tr("Local test server"))
        practice.setAutoDefault(False)
        practice.setToolTip(tr("For testing: a server on this computer that stores uploads in a folder"))
        practice.clicked.connect(self._practise)
        side = QHBoxLayout()
        side.addWidget(self.place, 1)
        side.addWidget(practice)
        for words, field in (
            (tr("Title"), self.title),
            (tr("Description"), self.description),
            (tr("Tags"), self.tags),
            (tr("Visibility"), self.who),
        ):
            field.setAccessibleName(words)
            form.addRow(words, field)
        form.addRow(tr("File"), self.what)
        self.place.setAccessibleName(tr("Server address"))
        form.addRow(tr("Server"), side)
        self.key.setAccessibleName(tr("Access key"))
        form.addRow(tr("Access key"), self.key)
        form.addRow("", self.keeps)
        if settings.share_place:
            self._sharing.ask_key(settings.share_place)
        return form

    def close_for_good(self) -> None:
        """With the window."""
        self._sharing.close()
        self.close()

    def showEvent(self, _event: object) -> None:
        self._show()

    @property
    def about(self) -> UploadInfo:
        tags = [each.strip()[:LONGEST_TAG] for each in self.tags.text().split(",")]
        return UploadInfo(
            self.title.text().strip() or self._desk.document.title,
            self.description.toPlainText()[:MOST_DESCRIPTION],
            tuple(dict.fromkeys(filter(None, tags)))[:MOST_TAGS],
            self.who.index == 1,
        )

    def _practise(self) -> None:
        place = self._sharing.practice_place()
        self.place.setText(place.address)
        self._give_key(place.token)
        self.keeps.setChecked(False)

    def _key_is_for(self, place: str) -> None:
        self._key_origin = origin_of(place)

    def _give_key(self, key: str) -> None:
        """A key for the place that is named."""
        self.key.setText(key)
        self._key_is_for(self.place.text())

    def _drop_foreign_key(self) -> bool:
        """A key that was given for another place is no key for this one."""
        is_foreign = bool(self.key.text()) and self._key_origin != origin_of(self.place.text())
        if is_foreign:
            self.key.clear()
        return is_foreign

    def _look_for_key(self) -> None:
        self._drop_foreign_key()
        self._show()
        if origin_of(self.place.text()) and not self.key.text():
            self._sharing.ask_key(self.place.text().strip())

    def _on_key(self, place: str, key: str) -> None:
        if place == self.place.text().strip() and not self.key.text():
            self._give_key(key)

    def _on_go(self) -> None:
        sharing = self._sharing
        if sharing.is_running:
            sharing.cancel()
            self.go.setEnabled(False)
            return
        place = self.place.text().strip()
        try:
            place_of(place)
        except ChronotomeError as error:
            self.told.setText(str(error))
            return
        if self._drop_foreign_key():
            self.told.setText(tr("The saved key is for another server. Enter the key for this server."))
            return
        self._desk.preferences.keep(share_place=place)
        self.told.setText(tr("Exporting, then uploading…"))
        self._address = ""
        if sharing.can_go_on(place):
            sharing.go_on(self.key.text())
        else:
            suffix = self._tray.encoding.suffix
            sharing.start(
                self._tray.writing, suffix, self.about, place, self.key.text(), keeps=self.keeps.isChecked()
            )
        self._show()

    def _on_done(self, address: str) -> None:
        self._address = address
        self.bar.setValue(100)
        self._copy()
        self.told.setText(tr("Uploaded to {0}\nThe address was copied.", address))
        self._desk.say(tr("Shared. The address was copied."))
        self._show()

    def _on_failed(self, words: str) -> None:
        self.told.setText(words or tr("Cancelled. The upload was removed."))
        self.bar.setValue(0)
        self._show()

    def _copy(self) -> None:
        QGuiApplication.clipboard().setText(self._address)

    def _show(self) -> None:
        is_running = self._sharing.is_running
        self.what.setText(tr("{0}, as set in Export", self._tray.encoding.words))
        words = tr("Cancel") if is_running else tr("Share")
        if not is_running and self._sharing.can_go_on(self.place.text().strip()):
            words = tr("Try again")
        self.go.setText(words)
        self.go.setEnabled(is_running or bool(self._desk.session.tracks))
        self.again.setEnabled(bool(self._address))
