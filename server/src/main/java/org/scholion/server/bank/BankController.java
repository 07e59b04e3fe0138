package org.scholion.server.bank;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.scholion.server.platform.Me;
import org.springframework.http.HttpStatus;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.JsonNode;

@RestController
@RequestMapping("/api/bank")
class BankController {
    private final BankItems items;
    private final BankSearch search;
    private final Folders folders;
    private final InUse inUse;

    BankController(BankItems items, BankSearch search, Folders folders, InUse inUse) {
        this.items = items;
        this.search = search;
        this.folders = folders;
        this.inUse = inUse;
    }

    /** @param assessment the paper that the item stands in already; null when it is from nowhere */
    record NewItem(
            Object definition,
            @Nullable UUID folder,
            @Nullable UUID assessment) {}

    record WholeKey(UUID assessment, @Nullable UUID folder) {}

    record Created(UUID id) {}

    record ItemChange(Object definition, int version) {}

    record Changed(int version) {}

    record Move(List<UUID> items, @Nullable UUID folder) {}

    record NewFolder(String name) {}

    /** @param draw the draw of the paper that they are put into; null for none */
    record Put(UUID assessment, List<UUID> items, @Nullable String draw) {}

    record WasPut(List<String> items) {}

    /** One item with its history, its uses and how it did in them, and others like it. */
    record BankItemView(
            List<BankItems.BankVersion> versions, List<InUse.UseFigures> uses, List<BankSearch.Alike> alike) {}

    @PostMapping("/find")
    BankSearch.BankFound find(@AuthenticationPrincipal Me me, @RequestBody BankSearch.Wanted wanted) {
        return search.find(me, wanted);
    }

    @GetMapping("/twins")
    List<BankSearch.Twins> twins(@AuthenticationPrincipal Me me) {
        return search.twins(me);
    }

    @GetMapping("/near")
    List<BankSearch.Near> near(@AuthenticationPrincipal Me me) {
        return search.near(me);
    }

    @PostMapping("/items")
    @ResponseStatus(HttpStatus.CREATED)
    Created add(@AuthenticationPrincipal Me me, @RequestBody NewItem wanted) {
        return new Created(items.add(me, wanted.definition(), wanted.folder(), wanted.assessment()));
    }

    @PostMapping("/papers")
    BankItems.WholePaper addAll(@AuthenticationPrincipal Me me, @RequestBody WholeKey wanted) {
        return items.addAll(me, wanted.assessment(), wanted.folder());
    }

    @GetMapping("/items/{item}")
    BankItemView see(@AuthenticationPrincipal Me me, @PathVariable UUID item) {
        JsonNode definition = items.definition(me, item);
        return new BankItemView(
                items.versions(me, item),
                inUse.of(me, item),
                search.alike(me, definition.path("prompt").asString(""), item));
    }

    @PutMapping("/items/{item}")
    Changed change(@AuthenticationPrincipal Me me, @PathVariable UUID item, @RequestBody ItemChange change) {
        return new Changed(items.change(me, item, change.definition(), change.version()));
    }

    @DeleteMapping("/items/{item}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void remove(@AuthenticationPrincipal Me me, @PathVariable UUID item) {
        items.remove(me, item);
    }

    @PostMapping("/items/{item}/restore")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void restore(@AuthenticationPrincipal Me me, @PathVariable UUID item) {
        items.restore(me, item);
    }

    @GetMapping("/removed")
    List<BankItems.Removed> removed(@AuthenticationPrincipal Me me) {
        return items.removed(me);
    }

    @PostMapping("/move")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void move(@AuthenticationPrincipal Me me, @RequestBody Move move) {
        items.move(me, move.items(), move.folder());
    }

    /** Puts items of the bank into a paper that is not given out; each remembers where it came from. */
    @PostMapping("/put")
    WasPut put(@AuthenticationPrincipal Me me, @RequestBody Put put) {
        return new WasPut(items.put(me, put.items(), put.assessment(), put.draw()));
    }

    @GetMapping("/folders")
    List<Folders.Folder> folders(@AuthenticationPrincipal Me me) {
        return folders.of(me);
    }

    @PostMapping("/folders")
    @ResponseStatus(HttpStatus.CREATED)
    Created addFolder(@AuthenticationPrincipal Me me, @RequestBody NewFolder wanted) {
        return new Created(folders.add(me, wanted.name()));
    }

    @DeleteMapping("/folders/{folder}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void removeFolder(@AuthenticationPrincipal Me me, @PathVariable UUID folder) {
        folders.remove(me, folder);
    }

    @PostMapping("/folders/{folder}/restore")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void restoreFolder(@AuthenticationPrincipal Me me, @PathVariable UUID folder) {
        folders.restore(me, folder);
    }
}
