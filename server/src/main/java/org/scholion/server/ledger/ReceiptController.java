package org.scholion.server.ledger;

import org.scholion.server.platform.Me;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

@RestController
class ReceiptController {
    private final ReceiptCheck receipts;

    ReceiptController(ReceiptCheck receipts) {
        this.receipts = receipts;
    }

    @GetMapping({"/api/receipts/{code}", "/api/student/receipts/{code}"})
    ReceiptCheck.Checked check(@AuthenticationPrincipal Me me, @PathVariable String code) {
        return receipts.check(me, code);
    }
}
