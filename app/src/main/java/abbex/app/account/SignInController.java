package abbex.app.account;

import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;

/** The door. */
@Controller
class SignInController {
    @GetMapping("/sign-in")
    String signIn() {
        return "sign-in";
    }
}
